<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\With;

/** A kind of unit: its sockets, points, possible routes and limits. */
final readonly class EquipmentModel
{
    use With;

    /**
     * @param  array<string, Socket>  $sockets  by id, in order
     * @param  array<string, Point>  $points  by id, in order
     * @param  array<string, Route>  $routes  by key `from>to`, in order
     * @param  list<AutoMute>  $autoMutes
     * @param  list<SystemNeed>  $runsOn  systems on which it, or its driver, runs; empty for any
     * @param  list<InstallNeed>  $asks  what installing it asks for
     * @param  array<string, Setting>  $settings  named settings by id, in order
     * @param  array<string, Meter>  $meters  by id, in order
     * @param  array<string, Lamp>  $lamps  by id, in order
     * @param  MadeAt|null  $made  where its faders, routes and picks are set, unless a setting says otherwise
     * @param  Holds|null  $holds  how long these stay as they were set
     * @param  array<string, Rule>  $rules  by id, in order
     * @param  array<string, Growth>  $grows  of what it has more or fewer, by id, in order
     * @param  int|null  $drawsMa  current that it takes from a bus; null for what its kind usually takes
     * @param  array<string, ModelControl>  $controls  what hands move at each unit, by id, in order
     * @param  Takes  $takes  by what its system chooses the default devices
     */
    public function __construct(
        public string $id,
        public string $name,
        public Family $family,
        public string $summary,
        public Supply $supply,
        public array $sockets,
        public array $points,
        public array $routes,
        public Limits $limits,
        public array $autoMutes = [],
        public array $runsOn = [],
        public array $asks = [],
        public array $settings = [],
        public ?MadeAt $made = null,
        public ?Holds $holds = null,
        public array $meters = [],
        public array $lamps = [],
        public Takes $takes = Takes::Chosen,
        public array $rules = [],
        public array $grows = [],
        public ?int $drawsMa = null,
        public array $controls = [],
    ) {
    }

    /**
     * The model as one unit has it whose points have names of their own. The same names give the same model again.
     *
     * @param  array<string, string>  $names  by point
     */
    public function named(array $names): self
    {
        static $named = new \WeakMap;
        $named[$this] ??= new \ArrayObject;
        $key = serialize($names);

        return $named[$this][$key] ??= $this->with(points: array_map(
            fn (Point $point) => isset($names[$point->id]) ? $point->named($names[$point->id]) : $point,
            $this->points,
        ));
    }

    /** The model as supplied, without names of the user's own. */
    public function unnamed(): self
    {
        $points = array_map(fn (Point $point) => $point->unnamed(), $this->points);

        return $points === $this->points ? $this : $this->with(points: $points);
    }

    /** Where the controls and the pick of a point are set; null where it is not known. */
    public function madeAt(Point|Route $of): ?MadeAt
    {
        return $of->made ?? $this->made;
    }

    /** How long the controls and the pick of a point, or a route, stay as they were set; null where it is not known. */
    public function holds(Point|Route $of): ?Holds
    {
        return $of->holds ?? $this->holds;
    }

    /** Whether a rule of its own mutes a point. */
    public function isMutedByRule(string $point): bool
    {
        return array_filter($this->autoMutes, fn (AutoMute $rule) => $rule->mutes === $point) !== [];
    }

    /** Whether somebody switches a route itself: one that a named setting switches is only switched there. */
    public function canSwitch(string $route): bool
    {
        foreach ($this->settings as $setting) {
            foreach ($setting->effects as $effect) {
                if ($effect->route === $route) {
                    return false;
                }
            }
        }

        return ($this->routes[$route] ?? null)?->allows(RouteSetting::On) === true;
    }

    /** Whether what a computer plays to this unit comes to one of its points, by whatever routes it has. */
    public function isPlayedTo(string $point): bool
    {
        $played = [];
        foreach ($this->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                $played += $lane->device?->direction === Direction::Playback ? [$lane->point => true] : [];
            }
        }
        $behind = [$point => true];
        do {
            $before = count($behind);
            foreach ($this->routes as $route) {
                $behind += isset($behind[$route->to]) ? [$route->from => true] : [];
            }
        } while (count($behind) > $before);

        return array_intersect_key($behind, $played) !== [];
    }

    /** How large it is where it can be of several sizes: "2 microphones, 1 stereo line"; empty for any other. */
    public function size(): string
    {
        return implode(', ', array_map(fn (Growth $growth) => Count::of($growth->count($this), $growth->label), $this->grows));
    }

    /** @return list<string> sockets that need phantom power */
    public function needsPhantom(): array
    {
        $needs = [];
        foreach ($this->sockets as $socket) {
            if ($socket->phantom === PhantomPower::Needs) {
                $needs[] = $socket->id;
            }
        }

        return $needs;
    }

    /** Whether a microphone socket of it takes one microphone, which its recording device gives on every channel. */
    public function takesOneMicrophone(): bool
    {
        if ($this->family->takesOneMicrophone()) {
            foreach ($this->sockets as $socket) {
                foreach ($socket->lanes as $lane) {
                    if ($lane->device?->direction === Direction::Recording) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** What it can have more or fewer of: "1 to 16 microphones, 1 to 8 stereo lines"; empty where it is of one size. */
    public function sizes(): string
    {
        $least = fn (Growth $growth): int => max(1, $growth->least);

        return implode(', ', array_map(fn (Growth $one) => "{$least($one)} to ".Count::of($one->most, $one->label), $this->grows));
    }

    public function isProgram(): bool
    {
        return $this->family->isProgram();
    }

    /** @param  string  $device  `socket/lane`, or a point: whether it gives a device to a computer's list */
    public function offers(string $device): bool
    {
        $parts = explode('/', $device, 2);

        return $this->offer($parts[0], $parts[1] ?? null) !== null;
    }

    /** What a socket's lane, or a point where there is no lane, gives to a computer's list; null for nothing. */
    public function offer(string $givenBy, ?string $lane): ?DeviceOffer
    {
        return $lane === null ? ($this->points[$givenBy] ?? null)?->device : ($this->sockets[$givenBy]->lanes[$lane] ?? null)?->device;
    }

    /** @return list<DeviceOffer> all that it gives to computers' lists */
    public function deviceOffers(): array
    {
        $offers = [];
        foreach ($this->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                $offers[] = $lane->device;
            }
        }
        foreach ($this->points as $point) {
            $offers[] = $point->device;
        }

        return array_values(array_filter($offers));
    }
}
