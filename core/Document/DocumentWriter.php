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
    private const MODELS = "\n  \"models\": ";

    private const UNITS = ",\n  \"units\": ";

    public function write(Rig $rig): string
    {
        return Json::encode($this->data($rig));
    }

    /**
     * Writes a rig anew of which only the models are as they were: half of a document is models, and few changes touch them.
     *
     * @param  string  $before  the canonical document of a rig with the same models
     */
    public function rewrite(Rig $rig, string $before): string
    {
        // In canonical text a line break and two spaces begin a key of the document itself, and nothing else.
        $start = strpos($before, self::MODELS);
        $end = strpos($before, self::UNITS);
        if ($start === false || $end === false) {
            return $this->write($rig);
        }
        $start += strlen(self::MODELS);

        return Json::encode(Rigs::rig()->write($rig, as: ['models' => new Verbatim(substr($before, $start, $end - $start))]));
    }

    /** A canonical document with no models in it. */
    public static function withoutModels(string $document): string
    {
        $start = strpos($document, self::MODELS);
        $end = strpos($document, self::UNITS);

        return $start === false || $end === false
            ? $document
            : substr($document, 0, $start + strlen(self::MODELS)).'{}'.substr($document, $end);
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
