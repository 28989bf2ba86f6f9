<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\With;

/** One piece of equipment or one program, an instance of an equipment model, in a place. */
final readonly class Unit
{
    use With;

    private const SET_INSIDE = ['points', 'routes', 'follows', 'linked', 'always'];

    /**
     * @param  list<string>  $needs  ids of units that must run or be present for this one to work
     * @param  int|null  $start  its turn when the computer's programs are started, from 1
     * @param  array<string, PointSettings>  $points  by point id
     * @param  array<string, RouteSettings>  $routes  by route key
     * @param  string  $price  of one, as somebody wrote it: "129.00 EUR"
     * @param  list<WebLink>  $links  manuals, drivers
     * @param  int|null  $readyS  seconds from its start until it works
     * @param  array<string, string|bool|float>  $values  of named settings, by id
     * @param  array<string, string>  $names  names of its points of somebody's own, by point id
     * @param  array<string, Following>  $follows  outputs that follow another, by point id
     * @param  list<list<string>>  $linked  route keys whose levels move together, keeping their offsets
     * @param  list<Effect>  $effects  of all its points, each chain in its order
     * @param  list<Scene>  $scenes  of a broadcast program; the first is shown where nothing else is said
     * @param  list<string>  $always  points that sound in every scene
     * @param  list<Picture>  $pictures  of a broadcast program
     * @param  string|null  $spareFor  id of the unit that it stands in for when that fails
     * @param  string  $inventory  the number on the thing itself, by which it is known in every rig
     * @param  int|null  $powerW  watts that it takes from the wall at most
     * @param  OperatingSystem|null  $system  of a computer or tablet; null where it is not known
     */
    public function __construct(
        public string $id,
        public string $model,
        public string $place,
        public string $name,
        public string $firmware = '',
        public string $serial = '',
        public string $notes = '',
        public array $needs = [],
        public ?int $start = null,
        public bool $atLogin = false,
        public array $points = [],
        public array $routes = [],
        public string $price = '',
        public string $supplier = '',
        public array $links = [],
        public ?int $readyS = null,
        public ?OperatingSystem $system = null,
        public string $licence = '',
        public string $edition = '',
        public array $values = [],
        public array $names = [],
        public array $follows = [],
        public array $linked = [],
        public array $effects = [],
        public array $scenes = [],
        public array $always = [],
        public array $pictures = [],
        public ?int $powerW = null,
        public Ownership $ownership = Ownership::Own,
        public ?string $spareFor = null,
        public string $inventory = '',
    ) {
    }

    /**
     * All of it but what is set at its points and routes, which changes how much passes there and never where it leads. A new property is
     * of it until somebody knows better.
     *
     * @return array<string, mixed> by property
     */
    public function outside(): array
    {
        return array_diff_key(get_object_vars($this), array_flip(self::SET_INSIDE));
    }

    /** A named setting as it is in the base. */
    public function value(Setting $setting): string|bool|float
    {
        return $this->values[$setting->id] ?? $setting->factory;
    }

    public function scene(string $id): ?Scene
    {
        foreach ($this->scenes as $scene) {
            if ($scene->id === $id) {
                return $scene;
            }
        }

        return null;
    }

    public function picture(string $id): ?Picture
    {
        foreach ($this->pictures as $picture) {
            if ($picture->id === $id) {
                return $picture;
            }
        }

        return null;
    }

    /** The picture with which a point's sound comes and goes; null where it is in scenes by itself. */
    public function tiedTo(string $point): ?Picture
    {
        foreach ($this->pictures as $picture) {
            if ($picture->isTied && $picture->sound === $point) {
                return $picture;
            }
        }

        return null;
    }

    /** Whether a point sounds in a scene: by itself, or with its picture. */
    public function soundsIn(Scene $scene, string $point): bool
    {
        $picture = $this->tiedTo($point);

        return $picture === null ? in_array($point, $scene->sources, true) : in_array($picture->id, $scene->pictures, true);
    }

    public function effect(string $id): ?Effect
    {
        foreach ($this->effects as $effect) {
            if ($effect->id === $id) {
                return $effect;
            }
        }

        return null;
    }
}
