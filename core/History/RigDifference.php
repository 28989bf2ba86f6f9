<?php

declare(strict_types=1);

namespace HiddenWire\Core\History;

use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\NamePoint;
use HiddenWire\Core\Edit\RemoveEffect;
use HiddenWire\Core\Edit\RemovePicture;
use HiddenWire\Core\Edit\RemoveScene;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetEffect;
use HiddenWire\Core\Edit\SetPicture;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SoundAlways;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Format\Difference;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Things\Controls;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Things\Situations;
use HiddenWire\Core\Rig\Format\Things\Sounds;
use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\Format\Things\Wires;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HearingDifference;

/** From one revision of a rig to another: what was built, plugged and set otherwise, and what that does to who hears what. */
final readonly class RigDifference
{
    /** What has words of its own here; the rest is worded by the description of the format. */
    private const TOLD_OF_UNITS = [
        'id', 'name', 'place', 'model', 'firmware', 'serial', 'notes', 'price', 'supplier', 'system', 'names', 'follows', 'effects',
        'scenes', 'pictures', 'always', 'linked', 'links', 'readyS', 'start', 'needs', 'atLogin', 'points', 'routes', 'values',
    ];

    private const TOLD_OF_CABLES = ['id', 'label', 'from', 'to'];

    /** What is said of a cable in one breath. */
    private const IN_A_CABLE = ['type', 'lengthM', 'colour', 'owned', 'price', 'supplier'];

    private const TOLD_OF_SOUNDS = ['id', 'name', 'origins', 'at', 'loudness', 'isMeasured'];

    private const TOLD_OF_SITUATIONS = [
        'id', 'name', 'changes', 'absent', 'pulled', 'plugged', 'effects', 'scenes', 'defaults', 'levels', 'settings',
    ];

    public function __construct(public Rig $before, public Rig $after)
    {
    }

    /** @return array<string, list<string>> in words, by what it is about; headings with nothing to say left out */
    public function lines(): array
    {
        return array_filter([
            'Days' => $this->days(),
            'Places and units' => [...$this->things('places'), ...$this->things('units'), ...$this->units()],
            'Cables' => $this->cables(),
            'Routes and settings' => $this->settings(),
            'Devices and picks' => [...$this->devices(), ...$this->picks()],
            'Sounds, listeners and wishes' => [
                ...$this->things('sources'), ...$this->things('listeners'), ...$this->places(), ...$this->wishes(),
            ],
            'Controls' => $this->controls(),
            'Situations' => [...$this->things('situations'), ...$this->situations()],
            'Reasons, facts, run-down and accepted findings' => $this->papers(),
        ]);
    }

    /** @return array<string, HearingDifference> by the name of each situation that both have */
    public function hearing(): array
    {
        $differences = [];
        foreach ($this->after->situations as $id => $situation) {
            if (isset($this->before->situations[$id])) {
                $differences[$situation->name] = new HearingDifference(
                    $this->heard($this->before, $this->before->situations[$id]),
                    $this->heard($this->after, $situation),
                );
            }
        }

        return $differences;
    }

    private function heard(Rig $rig, Situation $situation): Hearing
    {
        return new Hearing((new GraphBuilder($rig))->build($situation));
    }

    /** @return list<string> */
    private function days(): array
    {
        $words = fn (Rig $rig): string => $rig->days?->words() ?? 'no given days';

        return $this->before->days == $this->after->days ? []
            : ["used on {$words($this->after)} instead of {$words($this->before)}"];
    }

    /**
     * What came, went, or has another name.
     *
     * @param  'places'|'units'|'sources'|'listeners'|'situations'  $collection
     * @return list<string>
     */
    private function things(string $collection): array
    {
        /** @var array<string, Place|Unit|Source|Listener|Situation> $was */
        $was = $this->before->{$collection};
        /** @var array<string, Place|Unit|Source|Listener|Situation> $is */
        $is = $this->after->{$collection};
        $lines = [];
        foreach (array_diff_key($was, $is) as $gone) {
            $lines[] = "{$gone->name} is gone";
        }
        foreach ($is as $id => $thing) {
            if (! isset($was[$id])) {
                $lines[] = "{$thing->name} is new";
            } elseif ($was[$id]->name !== $thing->name) {
                $lines[] = "{$was[$id]->name} renamed to {$thing->name}";
            }
            if (isset($was[$id]) && $thing instanceof Place) {
                array_push($lines, ...$this->more(Rigs::place(), $was[$id], $thing, ['id', 'name']));
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function units(): array
    {
        $lines = [];
        foreach (array_intersect_key($this->after->units, $this->before->units) as $id => $unit) {
            $was = $this->before->units[$id];
            $lines[] = $was->place === $unit->place
                ? null
                : "{$unit->name} moved from {$this->before->places[$was->place]->name} to {$this->after->places[$unit->place]->name}";
            $lines[] = $was->model === $unit->model
                ? null
                : "{$unit->name} is a {$this->after->modelOf($unit)->name} instead of a {$this->before->modelOf($was)->name}";
            $lines[] = $was->firmware === $unit->firmware ? null : "{$unit->name} has firmware {$unit->firmware}";
            $lines[] = $was->serial === $unit->serial ? null : "{$unit->name} has the serial number {$unit->serial}";
            $lines[] = $was->notes === $unit->notes ? null : "the notes on {$unit->name} changed";
            array_push($lines, ...$this->bought($was, $unit));
            $lines[] = $was->system == $unit->system
                ? null
                : "{$unit->name} runs ".($unit->system?->told() ?? 'a system that nobody has named');
            array_push($lines, ...$this->more(Units::unit(), $was, $unit, self::TOLD_OF_UNITS));
            foreach (array_keys($unit->names + $was->names) as $point) {
                $name = $unit->names[$point] ?? '';
                $isHere = isset($this->after->modelOf($unit)->points[$point]);
                $lines[] = ! $isHere || $name === ($was->names[$point] ?? '')
                    ? null
                    : (new NamePoint(new PointRef($unit->id, (string) $point), $name))->words($this->after);
            }
            foreach (array_keys($unit->follows + $was->follows) as $point) {
                $isHere = isset($this->after->modelOf($unit)->points[$point]);
                $lines[] = ! $isHere || ($unit->follows[$point] ?? null) == ($was->follows[$point] ?? null)
                    ? null
                    : (new Follow(new PointRef($unit->id, (string) $point), $unit->follows[$point] ?? null))->words($this->after);
            }
            array_push($lines, ...$this->effects($was, $unit), ...$this->scenes($was, $unit));
            $lines[] = $was->linked === $unit->linked ? null : "the linked levels of {$unit->name} changed";
            $lines[] = $was->links == $unit->links ? null : "the manuals of {$unit->name} changed";
            $lines[] = match (true) {
                $was->readyS === $unit->readyS => null,
                $unit->readyS === null => "{$unit->name} has no time to start any more",
                default => "{$unit->name} takes {$unit->readyS} s to start",
            };
            $lines[] = $was->start === $unit->start
                ? null
                : "{$unit->name} starts ".($unit->start === null ? 'out of turn' : "as number {$unit->start}");
            $lines[] = $was->needs === $unit->needs && $was->atLogin === $unit->atLogin
                ? null
                : "what {$unit->name} needs, or its start at login, changed";
        }

        return array_values(array_filter($lines));
    }

    /** @return list<string> effects that came, went, moved or are set otherwise */
    private function effects(Unit $was, Unit $is): array
    {
        $lines = [];
        foreach ($was->effects as $effect) {
            if ($is->effect($effect->id) === null) {
                $lines[] = (new RemoveEffect($was->id, $effect->id))->words($this->before);
            }
        }
        foreach ($is->effects as $effect) {
            if ($was->effect($effect->id) != $effect) {
                $lines[] = (new SetEffect($is->id, $effect))->words($this->before);
            }
        }
        $order = fn (Unit $of): array => array_map(fn (Effect $one) => $one->id, $of->effects);
        $both = array_intersect($order($was), $order($is));
        if (array_values($both) !== array_values(array_intersect($order($is), $order($was)))) {
            $lines[] = "the order of the effects of {$is->name} changed";
        }

        return $lines;
    }

    /** @return list<string> */
    private function scenes(Unit $was, Unit $is): array
    {
        $lines = [];
        foreach ($was->pictures as $picture) {
            if ($is->picture($picture->id) === null) {
                $lines[] = (new RemovePicture($was->id, $picture->id))->words($this->before);
            }
        }
        foreach ($is->pictures as $picture) {
            if ($was->picture($picture->id) != $picture) {
                $lines[] = (new SetPicture($is->id, $picture))->words($this->before);
            }
        }
        foreach ($was->scenes as $scene) {
            if ($is->scene($scene->id) === null) {
                $lines[] = (new RemoveScene($was->id, $scene->id))->words($this->before);
            }
        }
        foreach ($is->scenes as $scene) {
            if ($was->scene($scene->id) != $scene) {
                $lines[] = (new SetScene($is->id, $scene))->words($this->before);
            }
        }
        $points = $this->after->modelOf($is)->points;
        foreach (array_unique([...$was->always, ...$is->always]) as $point) {
            $always = in_array($point, $is->always, true);
            if ($always !== in_array($point, $was->always, true) && isset($points[$point])) {
                $lines[] = (new SoundAlways(new PointRef($is->id, $point), $always))->words($this->after);
            }
        }

        return $lines;
    }

    /** @return list<string|null> */
    private function bought(Unit $was, Unit $is): array
    {
        return [
            match (true) {
                $was->price === $is->price => null,
                $is->price === '' => "{$is->name} has no price any more",
                default => "{$is->name} costs {$is->price}",
            },
            match (true) {
                $was->supplier === $is->supplier => null,
                $is->supplier === '' => "{$is->name} has no supplier any more",
                default => "{$is->name} comes from {$is->supplier}",
            },
        ];
    }

    /** @return list<string> */
    private function cables(): array
    {
        $lines = [];
        foreach (array_diff_key($this->before->cables, $this->after->cables) as $gone) {
            $lines[] = "{$gone->label} is out: it joined {$this->socket($this->before, $gone->from)} and "
                ."{$this->socket($this->before, $gone->to)}";
        }
        foreach ($this->after->cables as $id => $cable) {
            $was = $this->before->cables[$id] ?? null;
            if ($was === null) {
                $lines[] = "{$cable->label} is new: {$this->socket($this->after, $cable->from)} to "
                    ."{$this->socket($this->after, $cable->to)}";

                continue;
            }
            foreach ([[$was->from, $cable->from], [$was->to, $cable->to]] as [$old, $new]) {
                $lines[] = (string) $old === (string) $new
                    ? null
                    : "{$cable->label} moved from {$this->socket($this->before, $old)} to {$this->socket($this->after, $new)}";
            }
            $lines[] = $was->label === $cable->label ? null : "{$was->label} is labelled {$cable->label}";
            $other = Difference::between(Wires::cable(), $was, $cable, $this->after, self::TOLD_OF_CABLES);
            $lines[] = array_diff_key($other, array_flip(self::IN_A_CABLE)) === [] ? null
                : "{$cable->label}: ".implode(', ', array_diff_key($other, array_flip(self::IN_A_CABLE)));
            $lines[] = array_intersect_key($other, array_flip(self::IN_A_CABLE)) === []
                ? null
                : "{$cable->label} is {$cable->type->article()} ".implode(
                    ', ',
                    array_filter([
                        "{$cable->type->words()} cable",
                        $cable->lengthM === null ? '' : "{$cable->lengthM} m",
                        $cable->colour,
                        $cable->owned ? 'at hand' : 'to buy',
                        $cable->price,
                        $cable->supplier === '' ? '' : "from {$cable->supplier}",
                    ]),
                );
        }

        return array_values(array_filter($lines));
    }

    private function socket(Rig $rig, SocketRef $at): string
    {
        return "{$rig->socket($at)->label} of {$rig->units[$at->unit]->name}";
    }

    /** @return list<string> */
    private function settings(): array
    {
        $lines = [];
        foreach (array_intersect_key($this->after->units, $this->before->units) as $id => $unit) {
            $was = $this->before->units[$id];
            $model = $this->after->modelOf($unit);
            foreach (array_keys($unit->points + $was->points) as $point) {
                if (isset($model->points[$point]) && ! self::isSame($unit->points[$point] ?? null, $was->points[$point] ?? null)) {
                    $lines[] = "{$unit->name}: {$model->points[$point]->label} "
                        .(($unit->points[$point] ?? null)?->beside($was->points[$point] ?? null)->words() ?: 'default');
                }
            }
            foreach (array_keys($unit->routes + $was->routes) as $key) {
                if (isset($model->routes[$key]) && ! self::isSame($unit->routes[$key] ?? null, $was->routes[$key] ?? null)) {
                    $lines[] = "{$unit->name}: {$model->points[$model->routes[$key]->from]->label} → "
                        ."{$model->points[$model->routes[$key]->to]->label} "
                        .(($unit->routes[$key] ?? null)?->beside($was->routes[$key] ?? null)->words() ?: 'default');
                }
            }
        }

        foreach (array_intersect_key($this->after->units, $this->before->units) as $id => $unit) {
            $was = $this->before->units[$id];
            foreach (array_keys($unit->values + $was->values) as $setting) {
                $about = $this->after->modelOf($unit)->settings[$setting] ?? null;
                if ($about !== null && ($unit->values[$setting] ?? null) !== ($was->values[$setting] ?? null)) {
                    $value = $unit->values[$setting] ?? null;
                    $lines[] = "{$unit->name}: {$about->label} ".($value === null ? 'default' : $about->words($value));
                }
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function picks(): array
    {
        $lines = [];
        foreach ($this->before->picks + $this->after->picks as $at => $one) {
            [$was, $is] = [$this->before->picks[$at] ?? null, $this->after->picks[$at] ?? null];
            if (($was === null || $is === null || ! $was->choosesLike($is)) && isset(
                $this->after->units[$one->at->unit],
                $this->after->modelOf($one->at->unit)->points[$one->at->point],
            )) {
                $lines[] = "{$this->after->units[$one->at->unit]->name}: {$this->after->point($one->at)->label} uses "
                    .($is?->words(new Names($this->after)) ?? 'no device');
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function devices(): array
    {
        $of = function (Rig $rig): array {
            $devices = [];
            foreach ($rig->devices as $device) {
                $devices["{$device->computer} {$device->device}"] = $device;
            }

            return $devices;
        };
        [$was, $is] = [$of($this->before), $of($this->after)];
        $lines = [];
        foreach ($was + $is as $key => $device) {
            if (! self::isSame($was[$key] ?? null, $is[$key] ?? null)) {
                $rig = isset($was[$key]) ? $this->before : $this->after;
                // After a swap the unit is there, and the socket may not be.
                $isThere = isset($this->before->units[$device->computer], $this->before->units[$device->device->unit])
                    && $this->before->modelOf($device->device->unit)->offers($device->device->inside());
                $lines[] = isset($is[$key]) && $isThere
                    ? (new SetDevice($is[$key]))->words($this->before)
                    : "{$rig->units[$device->computer]->name}: ".(new Names($rig))->of($device->device)
                        .(isset($is[$key]) ? ' has settings of its own' : ' has no settings of its own any more');
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function wishes(): array
    {
        $of = function (Rig $rig): array {
            $wishes = [];
            foreach ($rig->wishes as $wish) {
                $wishes["{$wish->source} {$wish->listener}"][implode(',', $wish->situations)] = [
                    $wish->want->value,
                    ...$wish->marks(),
                ];
            }

            return $wishes;
        };
        [$was, $is] = [$of($this->before), $of($this->after)];
        $lines = [];
        foreach ($was + $is as $key => $wishes) {
            [$source, $listener] = explode(' ', $key);
            if (($was[$key] ?? []) != ($is[$key] ?? []) && isset($this->after->sources[$source], $this->after->listeners[$listener])) {
                $says = array_map(
                    fn (array $one) => implode(', ', [str_replace('must-not', 'must not', $one[0]), ...array_slice($one, 1)]),
                    $is[$key] ?? [],
                );
                $lines[] = "{$this->after->sources[$source]->name} at {$this->after->listeners[$listener]->name}: "
                    .(implode('; ', $says) ?: 'no wish');
            }
        }

        $of = fn (Rig $rig): array => array_combine(
            array_map(fn (Balance $one) => $one->key(), $rig->balances),
            array_map(fn (Balance $one) => $one->words($rig), $rig->balances),
        );
        [$was, $is] = [$of($this->before), $of($this->after)];

        return [
            ...$lines,
            ...array_values(array_filter($is, fn (string $words, string $key) => ($was[$key] ?? null) !== $words, ARRAY_FILTER_USE_BOTH)),
            ...array_values(array_map(fn (string $words) => "no longer: {$words}", array_diff_key($was, $is))),
        ];
    }

    /** @return list<string> controls that came, went, or move something else */
    private function controls(): array
    {
        $of = function (Rig $rig): array {
            $names = new ControlNames($rig);

            return array_map(
                fn (Control $one) => trim("{$one->words()}: ".implode('; ', array_map($names->move(...), $one->moves)), ': '),
                $rig->controls,
            );
        };
        [$was, $is] = [$of($this->before), $of($this->after)];
        $lines = array_map(fn (Control $one) => "{$one->words()} is gone", array_diff_key($this->before->controls, $is));
        foreach ($this->after->controls as $id => $control) {
            if (($was[$id] ?? null) !== $is[$id]) {
                $lines[] = isset($was[$id]) ? "{$is[$id]}" : "New: {$is[$id]}";
            } else {
                $told = ['id', 'name', 'legend', 'moves'];
                array_push($lines, ...$this->more(Controls::control(), $this->before->controls[$id], $control, $told));
            }
        }

        return array_values($lines);
    }

    /** @return list<string> what a situation sets otherwise that it did not before, and what it leaves as in the default again */
    private function situations(): array
    {
        $lines = [];
        foreach (array_intersect_key($this->after->situations, $this->before->situations) as $id => $situation) {
            [$was, $is] = [$this->said($this->before, $this->before->situations[$id]), $this->said($this->after, $situation)];
            foreach ($is as $key => $words) {
                $lines[] = ($was[$key] ?? null) === $words ? null : "{$situation->name}: {$words}";
            }
            foreach (array_diff_key($was, $is) as $words) {
                $lines[] = "{$situation->name}: no longer {$words}";
            }
            $before = $this->before->situations[$id];
            array_push($lines, ...$this->more(Situations::situation(), $before, $situation, self::TOLD_OF_SITUATIONS));
        }

        return array_values(array_filter($lines));
    }

    /** @return array<string, string> all that a situation sets otherwise, in words, by what it is about */
    private function said(Rig $rig, Situation $situation): array
    {
        $names = new Names($rig);
        $said = [];
        foreach ($situation->changes as $change) {
            $isPick = $change->set instanceof Pick;
            $words = $change->set instanceof Pick ? 'uses '.$change->set->words($names) : $change->set->words();
            $said["{$change->at} ".($isPick ? 'pick' : 'set')] = "{$names->of($change->at)} {$words}";
        }
        foreach ($situation->absent as $unit) {
            $said["absent {$unit}"] = $rig->units[$unit]->name.($rig->modelOf($unit)->isProgram() ? ' not running' : ' not there');
        }
        foreach ($situation->pulled as $cable) {
            $said["pulled {$cable}"] = "{$rig->cables[$cable]->label} out";
        }
        if ($situation->plugged !== []) {
            $said['plugged'] = 'plugged in last: '.implode(', ', array_map(
                fn (string $cable) => $rig->cables[$cable]->label,
                $situation->plugged,
            ));
        }
        foreach ($situation->defaults as $default) {
            $said["default {$default->slot()}"] = $default->words($rig);
        }
        foreach ($situation->scenes as $choice) {
            // By the name that it has now: a new name is reported with the program.
            $isThere = ($this->after->units[$choice->unit] ?? null)?->scene($choice->scene) !== null;
            $said["scene {$choice->unit}"] = $choice->words($isThere ? $this->after : $rig);
        }
        foreach ($situation->effects as $switch) {
            $said["effect {$switch->slot()}"] = $switch->words($rig);
        }
        foreach ($situation->settings as $set) {
            $said["setting {$set->slot()}"] = $set->words($rig);
        }
        foreach ($situation->levels as $level) {
            $said["level {$level->slot()}"] = $level->words($rig);
        }

        return $said;
    }

    /** @return list<string> where sounds begin, where listeners are, and what goes through the air */
    private function places(): array
    {
        $origins = fn (Rig $rig, Source $source): string => $this->joined(array_map(
            fn (Origin $origin) => (new Names($rig))->of($origin->at)
                .($origin->db->number() === 0 ? '' : " at {$origin->db->text()} dB")
                .($origin->delay === null ? '' : ", {$origin->delay->text()} ms late")
                .($origin->distanceM === null ? '' : ", {$origin->distanceM} m away"),
            $source->origins,
        ));
        $ears = fn (Rig $rig, Listener $one): string => $this->joined(array_map((new Names($rig))->of(...), $one->at));
        $lines = [];
        foreach (array_intersect_key($this->after->sources, $this->before->sources) as $id => $source) {
            $is = $origins($this->after, $source);
            $was = $this->before->sources[$id];
            $lines[] = $is === $origins($this->before, $was) ? null : "{$source->name} starts at {$is}";
            $lines[] = $source->loudnessWords() === $was->loudnessWords() ? null
                : "{$source->name}: ".($source->loudnessWords() ?: 'how loud it begins is not known any more');
            array_push($lines, ...$this->more(Sounds::source(), $was, $source, self::TOLD_OF_SOUNDS));
        }
        foreach (array_intersect_key($this->after->listeners, $this->before->listeners) as $id => $listener) {
            $is = $ears($this->after, $listener);
            $lines[] = $is === $ears($this->before, $this->before->listeners[$id]) ? null : "{$listener->name} listens at {$is}";
            array_push($lines, ...$this->more(Sounds::listener(), $this->before->listeners[$id], $listener, self::TOLD_OF_SOUNDS));
        }
        [$was, $is] = [$this->air($this->before), $this->air($this->after)];
        foreach ($is as $path => $words) {
            $lines[] = ($was[$path] ?? null) === $words ? null : $words;
        }
        foreach (array_keys(array_diff_key($was, $is)) as $path) {
            $lines[] = "{$path}: as in any room";
        }

        return array_values(array_filter($lines));
    }

    /** @return array<string, string> each path through the air in words, by its ends */
    private function air(Rig $rig): array
    {
        $names = new Names($rig);
        $paths = [];
        foreach ($rig->air as $path) {
            $ends = "{$names->of($path->from)} through the air to {$names->of($path->to)}";
            $paths[$ends] = "{$ends}: {$path->db->text()} dB".($path->delay === null ? '' : ", {$path->delay->text()} ms");
        }

        return $paths;
    }

    /** @return list<string> */
    private function papers(): array
    {
        $of = function (Rig $rig): array {
            $said = [];
            foreach ($rig->papers->reasons as $one) {
                $said["reason {$one->about}"] = "{$one->about->words($rig)}: {$one->words()}";
            }
            foreach ($rig->papers->facts as $one) {
                $said["fact {$one->key()}"] = "{$one->subject($rig)}: ".lcfirst($one->words());
            }
            foreach ($rig->papers->measures as $one) {
                $said["measure {$one->key()}"] = "{$one->about->words($rig)}: {$one->words()}";
            }
            foreach ($rig->papers->steps as $one) {
                $said["step {$one->id}"] = "{$one->phase->label()}: {$one->words()}";
            }
            foreach ($rig->papers->accepted as $one) {
                $said["accepted {$one->evidence}"] = "accepted: {$one->says} ({$one->why})";
            }

            return $said;
        };
        [$was, $is] = [$of($this->before), $of($this->after)];

        return [
            ...array_values(array_filter($is, fn (string $words, string $key) => ($was[$key] ?? null) !== $words, ARRAY_FILTER_USE_BOTH)),
            ...array_values(array_map(fn (string $words) => "removed: {$words}", array_diff_key($was, $is))),
        ];
    }

    /**
     * What has no words of its own here, as the description of the format tells it.
     *
     * @param  list<string>  $told  properties that have
     * @return list<string>
     */
    private function more(
        Shape $shape,
        Source|Listener|Situation|Place|Unit|Control $was,
        Source|Listener|Situation|Place|Unit|Control $is,
        array $told,
    ): array {
        return array_values(array_map(
            fn (string $words) => "{$is->name}: {$words}",
            Difference::between($shape, $was, $is, $this->after, $told),
        ));
    }

    /** @param  array<array-key, string>  $things */
    private function joined(array $things): string
    {
        return $things === [] ? 'nothing' : implode(' and ', $things);
    }

    /** Whether two settings say the same: off is something else than not said. */
    private static function isSame(mixed $was, mixed $is): bool
    {
        return serialize($was) === serialize($is);
    }
}
