<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Format\Things\Models;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Rig;

/**
 * Writes a rig as its canonical document, by its description {@see Rigs}: keys in one order, what equals its default left out, numbers in
 * their shortest form.
 */
final class DocumentWriter
{
    public function write(Rig $rig): string
    {
        return Json::encode($this->data($rig));
    }

    /**
     * Writes a rig that was made from another: what both hold alike, half of a document and more, is taken over from its text.
     *
     * @param  string  $before  the canonical document of the other
     */
    public function rewrite(Rig $rig, Rig $from, string $before): string
    {
        $was = CanonicalText::of($before);
        $as = [];
        foreach ($was === null ? [] : Rigs::rig()->allFields() as $field) {
            if (isset($was->says[$field->key]) && $field->heldBy($rig) === $field->heldBy($from)) {
                $as[$field->key] = new Verbatim($was->says[$field->key]);
            }
        }

        return Json::encode(Rigs::rig()->write($rig, as: $as));
    }

    /** @return array<string, mixed> the document as plain data: arrays for lists and objects, `\stdClass` for maps and empty objects */
    public function data(Rig $rig): array
    {
        return Rigs::rig()->write($rig);
    }

    /** @return array<string, mixed> one equipment model, without its id, as documents and the catalogue hold it */
    public function model(EquipmentModel $model): array
    {
        return Models::model()->write($model);
    }
}
