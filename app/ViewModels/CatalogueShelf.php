<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Rig;
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

    /** @var array<string, non-empty-list<EquipmentModel>> the same by family, in the order of the families */
    public array $families;

    public ?EquipmentModel $chosen;

    public ?ModelDrawing $drawing;

    /**
     * @param  array<string, EquipmentModel>  $models  all, by id
     * @param  array<array-key, mixed>  $query  of the address: `q`, `family`, `model`
     * @param  list<Shelves>  $shelves  where a model can be added
     * @param  Rig|null  $rig  the one from which somebody came, and to which the way leads back
     */
    public function __construct(private array $models, array $query, public array $shelves, public ?Rig $rig = null)
    {
        $asked = fn (string $key): string => is_string($query[$key] ?? null) ? $query[$key] : '';
        $this->text = mb_strtolower(trim($asked('q')));
        $this->family = Family::tryFrom($asked('family'));
        $this->chosen = $models[$asked('model')] ?? null;
        $this->drawing = $this->chosen === null ? null : new ModelDrawing($this->chosen);
        $this->found = (new ModelSearch($models))->find($this->text, $this->family);
        $families = [];
        foreach ($this->found as $model) {
            $families[$model->family->value][] = $model;
        }
        $order = array_column(Family::cases(), 'value');
        uksort($families, fn (string $a, string $b) => array_search($a, $order, true) <=> array_search($b, $order, true));
        $this->families = $families;
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
        return route('catalogue', array_filter([...$this->asked(), 'model' => $model->id]));
    }

    /** The address with one family, or with all. */
    public function familyUrl(?string $family): string
    {
        return route('catalogue', array_filter([...$this->asked(), 'family' => $family]));
    }

    /** @return array<string, string|int|null> */
    private function asked(): array
    {
        return ['q' => $this->text, 'family' => $this->family?->value, 'rig' => $this->rig?->id];
    }
}
