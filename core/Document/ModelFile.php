<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Problem;

/** One equipment model as a file, to hand on: `{"format": "hidden-wire/model", "version": 3, "id": …, "model": {…}}`. */
final class ModelFile
{
    public const FORMAT = 'hidden-wire/model';

    public static function write(EquipmentModel $model): string
    {
        return Json::encode([
            'format' => self::FORMAT, 'version' => Rigs::VERSION, 'id' => $model->id, 'model' => (new DocumentWriter)->model($model),
        ]);
    }

    /** @throws InvalidDocument with every offence */
    public static function read(string $text): EquipmentModel
    {
        $data = Json::decode($text);
        if (! $data instanceof \stdClass || ($data->format ?? null) !== self::FORMAT) {
            throw new InvalidDocument([new Problem('/format', 'This is no model file: "format" has to be "'.self::FORMAT.'".')]);
        }
        if (($data->version ?? null) !== Rigs::VERSION) {
            throw new InvalidDocument([new Problem('/version', 'This version is not known here: "version" has to be '.Rigs::VERSION.'.')]);
        }
        $id = $data->id ?? null;
        if (! is_string($id) || preg_match('/^[a-z0-9][a-z0-9._-]{0,63}$/D', $id) !== 1) {
            throw new InvalidDocument([new Problem('/id', 'The model has no id: small letters, digits and hyphens.')]);
        }

        return (new DocumentReader)->model($data->model ?? null, $id, ['model']);
    }

    /** Whether two models say the same, whatever their ids. */
    public static function isSame(EquipmentModel $one, EquipmentModel $other): bool
    {
        $text = fn (EquipmentModel $model): string => Json::encode((new DocumentWriter)->model($model));

        return $text($one) === $text($other);
    }
}
