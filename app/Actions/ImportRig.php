<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigCounts;
use App\Rigs\RigRows;
use App\Rigs\RigTransaction;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;

/** Takes a rig document in as a new rig of a user, or of a crew of theirs: rows and first revision in one transaction, or nothing. */
final class ImportRig
{
    /** @throws InvalidDocument with every offence; nothing is stored then */
    public function __invoke(User $by, string $document, string $what = 'Imported', ?Crew $crew = null): Rig
    {
        $content = (new DocumentReader)->read($document);
        $canonical = (new DocumentWriter)->write($content);
        if (strlen($canonical) > Json::MAX_BYTES) {
            throw InvalidDocument::whole(sprintf(
                'In canonical form, with its indents, this document has %.1f MB; up to %.1f MB are kept. Split the rig in two.',
                strlen($canonical) / 1e6,
                Json::MAX_BYTES / 1e6,
            ));
        }

        return RigTransaction::do(function () use ($by, $crew, $content, $canonical, $what): Rig {
            $rig = ($crew ?? $by)->rigs()->make();
            $rig->enter($content, 1);
            RigRows::store($rig->id, $content);
            $rig->revisions()->create([
                'number' => 1,
                'user_id' => $by->id,
                'what' => $what,
                'document' => $canonical,
                ...RigCounts::columns($content),
            ]);

            return $rig;
        });
    }
}
