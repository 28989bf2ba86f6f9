<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Consistency;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/** The equipment models that come with the application. */
final readonly class Catalogue
{
    /** @param  array<string, EquipmentModel>  $models  by id */
    private function __construct(public array $models)
    {
    }

    /**
     * Models that are known to be sound.
     *
     * @param  array<string, EquipmentModel>  $models  by id
     */
    public static function holding(array $models): self
    {
        return new self($models);
    }

    /**
     * @param  iterable<string, string>  $texts  one model's JSON by its id
     *
     * @throws InvalidDocument|InvalidRig when a model is none; pointers begin with the model's id
     */
    public static function of(iterable $texts): self
    {
        $models = [];
        $reader = new DocumentReader;
        foreach ($texts as $id => $text) {
            $models[$id] = $reader->model(Json::decode($text), $id, [$id]);
        }
        ksort($models);
        $misfits = (new Consistency(new RigParts('catalogue', models: $models, situations: [new Situation('base', 'Base')])))->problems();
        if ($misfits !== []) {
            throw new InvalidRig($misfits);
        }

        return new self($models);
    }

    /** Whether it has a model as it is, by whatever id, or comes to it by growing one. */
    public function has(EquipmentModel $model): bool
    {
        $plain = $model->unnamed();
        foreach ($this->models as $known) {
            if ($known->name === $model->name && self::isSame(self::grown($known, $plain), $plain)) {
                return true;
            }
        }

        return false;
    }

    /** A model with as many of everything as another has, as far as it can. */
    private static function grown(EquipmentModel $known, EquipmentModel $like): EquipmentModel
    {
        foreach ($known->grows as $growth) {
            $count = $growth->count($like);
            if ($count !== $growth->count($known) && $count >= $growth->least && $count <= $growth->most) {
                $known = Growing::to($known, $growth, $count);
            }
        }

        return $known;
    }

    private static function isSame(EquipmentModel $one, EquipmentModel $other): bool
    {
        $writer = new DocumentWriter;

        return json_encode($writer->model($one)) === json_encode($writer->model($other));
    }
}
