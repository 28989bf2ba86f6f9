<?php

declare(strict_types=1);

use App\Models\MadeBook;
use App\Models\Rig;
use App\Rigs\RigFromRows;
use HiddenWire\Core\Document\DocumentWriter;
use Illuminate\Contracts\Console\Kernel;

/* With "book": the last book that was asked for. Without: what is stored of every rig, as JSON: its revisions in words, and whether its rows make the document of the revision that it is at. */
require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

if (($argv[1] ?? '') === 'book') {
    exit(json_encode(MadeBook::query()->latest('id')->first()?->only(['state', 'run', 'done', 'trouble'])));
}
$rigs = [];
foreach (Rig::query()->orderBy('id')->get() as $rig) {
    $now = $rig->revisions()->where('number', $rig->at)->sole();
    $rigs[$rig->name] = ['what' => $rig->revisions()->orderBy('number')->pluck('what')->all(),
        'isWhole' => (new DocumentWriter)->write(RigFromRows::rig($rig)) === $now->document];
}
echo json_encode($rigs);
