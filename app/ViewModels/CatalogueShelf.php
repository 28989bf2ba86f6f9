<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Socket;

/** The catalogue as it is looked through: what answers to the search, and the model that is chosen, drawn. */
final readonly class CatalogueShelf
{
    public string $text;

    public ?Family $family;

    /** @var array<string, EquipmentModel> by id */
    public array $found;

    public ?EquipmentModel $chosen;

    public ?ModelDrawing $drawing;

    /**
     * @param  array<string, EquipmentModel>  $models  all, by id
     * @param  array<array-key, mixed>  $query  of the address: `q`, `family`, `model`
     * @param  list<Shelves>  $shelves  where a model can be added
     */
    public function __construct(private array $models, array $query, public array $shelves)
    {
        $asked = fn (string $key): string => is_string($query[$key] ?? null) ? $query[$key] : '';
        $this->text = mb_strtolower(trim($asked('q')));
        $this->family = Family::tryFrom($asked('family'));
        $this->chosen = $models[$asked('model')] ?? null;
        $this->drawing = $this->chosen === null ? null : new ModelDrawing($this->chosen);
        $this->found = (new ModelSearch($models))->find($this->text, $this->family);
    }

    public function total(): int
    {
        return count($this->models);
    }

    /** What a computer lists that the chosen model is plugged into: "Programme, USB mixer". */
    public function deviceName(Socket $socket, Lane $lane): string
    {
        return $this->chosen === null ? '' : str_replace(
            DeviceNames::PARTNER,
            'what it reaches',
            DeviceNames::of($this->chosen, $socket->id, $lane->id),
        );
    }

    /** The address with another model chosen. */
    public function url(EquipmentModel $model): string
    {
        return route('catalogue', array_filter(['q' => $this->text, 'family' => $this->family?->value, 'model' => $model->id]));
    }
}
