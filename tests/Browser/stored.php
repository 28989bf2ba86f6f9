<?php

declare(strict_types=1);

use App\Models\Rig;
use App\Rigs\RigFromRows;
use HiddenWire\Core\Document\DocumentWriter;
use Illuminate\Contracts\Console\Kernel;

/* What is stored of every rig, as JSON: its revisions in words, and whether its rows make the document of the revision that it is at. */
require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

$rigs = [];
foreach (Rig::query()->orderBy('id')->get() as $rig) {
    $now = $rig->revisions()->where('number', $rig->at)->sole();
    $rigs[$rig->name] = ['what' => $rig->revisions()->orderBy('number')->pluck('what')->all(),
        'isWhole' => (new DocumentWriter)->write(RigFromRows::rig($rig)) === $now->document];
}
echo json_encode($rigs);
