<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigRows;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use Illuminate\Support\Facades\DB;

/** Takes a rig document in as a new rig of a user: rows and first revision in one transaction, or nothing. */
final class ImportRig
{
    /** @throws InvalidDocument with every offence; nothing is stored then */
    public function __invoke(User $owner, string $document, string $what = 'Imported'): Rig
    {
        $content = (new DocumentReader)->read($document);

        return DB::transaction(function () use ($owner, $content, $what): Rig {
            $rig = $owner->rigs()->create(['name' => $content->name, 'summary' => $content->summary, 'revision' => 1, 'at' => 1]);
            RigRows::store($rig->id, $content);
            $rig->revisions()->create([
                'number' => 1,
                'user_id' => $owner->id,
                'what' => $what,
                'document' => (new DocumentWriter)->write($content),
            ]);

            return $rig;
        });
    }
}
