<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Consistency;
use HiddenWire\Core\Rig\Format\PlainText;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Things\Models;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;

/**
 * Reads a rig document, format version 1 to 3 (docs/format/), by its description {@see Rigs}. All or nothing: either a rig, or every
 * offence with its JSON pointer.
 */
final class DocumentReader
{
    /** Problems past this many are cut off: nobody reads them, and a hostile file could make millions. */
    public const MAX_PROBLEMS = 200;

    /** @throws InvalidDocument */
    public function read(string $text): Rig
    {
        return $this->readData(Json::decode($text));
    }

    /**
     * A document of our own keeping: what is physically impossible and was let in once is read, and reported by {@see Rig::$faults}; code
     * points that are no characters, which were let in once too, are left out.
     *
     * @throws InvalidDocument
     */
    public function readStored(string $text): Rig
    {
        return $this->readData(Json::decodeOwn(PlainText::withoutNoCharacters($text)), isStored: true);
    }

    /**
     * The same beside another one of which the rig is known: it shares with that rig what both say alike, and is read in a fraction of the
     * time.
     *
     * @param  Rig  $known  what `$knownText` says
     *
     * @throws InvalidDocument
     */
    public function readStoredBeside(string $text, Rig $known, string $knownText): Rig
    {
        $parts = Reread::parts($text, $known, $knownText);
        try {
            return $parts === null ? $this->readStored($text) : new Rig($parts);
        } catch (InvalidRig) {
            // What is wrong and where, only the whole document says.
            return $this->readStored($text);
        }
    }

    /**
     * Holds a document that is about to be kept to the very rules by which it will be read again.
     *
     * @throws InvalidRig with every offence
     */
    public function judge(string $document): void
    {
        try {
            $this->readData(Json::decodeOwn($document), isStored: true);
        } catch (InvalidDocument $e) {
            throw new InvalidRig($e->problems);
        }
    }

    /**
     * Holds a rig that was made from another, and is about to be kept, to the rules by which its document will be read again: that things
     * fit together is known of any rig, so that only what is altered is written and read.
     *
     * @throws InvalidRig with every offence
     */
    public function judgeChange(Rig $rig, Rig $from): void
    {
        $new = $rig->besides($from);
        // A document has a situation.
        $new = $new->situations === [] ? $new->with(situations: [$rig->base()]) : $new;
        $in = new Reading(Rigs::VERSION);
        Rigs::rig()->values(Json::decodeOwn(Json::encode(Rigs::rig()->write($new))), $in);
        $isTooLong = false;
        foreach (Rigs::rig()->allFields() as $field) {
            $list = $field->type instanceof ListOf ? $field->heldBy($rig) : [];
            $isTooLong = $isTooLong || ($field->type instanceof ListOf && is_array($list) && count($list) > $field->type->most);
        }
        if ($isTooLong || $in->problems() !== []) {
            // Where they are, only the whole document says.
            $this->judge((new DocumentWriter)->write($rig));
        }
    }

    /**
     * From data as {@see Json::decode()} gives it.
     *
     * @param  bool  $isStored  from our own keeping
     *
     * @throws InvalidDocument
     */
    public function readData(mixed $data, bool $isStored = false): Rig
    {
        $in = new Reading($this->versionOf($data));
        $says = Rigs::rig()->values($data, $in);
        $parts = Rigs::parts([...$says, 'tolerated' => $isStored ? null : []]);
        if ($in->problems() === []) {
            try {
                return new Rig($parts);
            } catch (InvalidRig $e) {
                throw new InvalidDocument(array_slice($e->problems, 0, self::MAX_PROBLEMS));
            }
        }
        $problems = [...$in->problems(), ...(new Consistency($parts, $in->allUnreadable()))->problems()];

        throw new InvalidDocument(array_slice($problems, 0, self::MAX_PROBLEMS));
    }

    /**
     * One equipment model.
     *
     * @param  list<string>  $path  where it stands in a document
     *
     * @throws InvalidDocument
     */
    public function model(mixed $data, string $id, array $path): EquipmentModel
    {
        $in = new Reading(Rigs::VERSION, $path);
        $model = Models::named($id)->read($data, $in);
        $problems = $in->problems();
        if ($problems !== []) {
            throw new InvalidDocument($problems);
        }
        assert($model instanceof EquipmentModel);

        return $model;
    }

    /** @throws InvalidDocument where it is no document of a version that is known */
    private function versionOf(mixed $data): int
    {
        if (! $data instanceof \stdClass) {
            throw InvalidDocument::whole('A rig document is one JSON object.');
        }
        if (($data->format ?? null) !== Rigs::FORMAT) {
            throw new InvalidDocument([new Problem('/format', 'This is no rig document: "format" has to be "'.Rigs::FORMAT.'".')]);
        }
        if (! in_array($data->version ?? null, range(1, Rigs::VERSION), true)) {
            throw new InvalidDocument([new Problem(
                '/version',
                'This version of the format is not known here: "version" has to be a whole number from 1 to '.Rigs::VERSION.'.',
            )]);
        }

        return $data->version;
    }
}
