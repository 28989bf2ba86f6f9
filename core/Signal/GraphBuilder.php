<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\SettingEffect;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Rig\Wiring;

/** Makes the signal graph of a rig in a situation. */
final class GraphBuilder
{
    /**
     * A call over the internet, one way, with the far end's jitter buffer: between 20 ms (a good line) and the 150 ms that telephony
     * allows.
     */
    public const NETWORK_MS = 60.0;

    /** Sound over a network in the house, with a buffer of some packets: between 2 and 20 ms. */
    public const HOUSE_NETWORK_MS = 10.0;

    /** Bluetooth audio, the plain codec: between 150 and 250 ms in practice. */
    public const WIRELESS_MS = 180.0;

    /**
     * A loudspeaker into a microphone of the same place, where the rig does not say: loudspeakers at the level of talk (65 dB SPL) against
     * a voice close to its microphone (95 dB SPL).
     */
    public const AIR_DB = -30.0;

    /** Sound over one metre of air at 20 °C: 1 m / 343 m/s. */
    public const AIR_MS = 2.915;

    private SignalGraph $graph;

    private State $state;

    /** @var array<string, int> the tap node after gain and mute, by `unit/point` */
    private array $preFader = [];

    /** @var array<string, int> the tap node after gain, muted or not, by `unit/point` */
    private array $unmuted = [];

    /** @var array<string, int> the node behind gain and mute of points with effects, by `unit/point` */
    private array $behindGain = [];

    /** @var array<string, array{int, int}> nodes before and behind the fader, past some effects, by point and the effects that are left */
    private array $variants = [];

    /** @var array<string, list<array{int, int, float}>> */
    private array $triples = [];

    /** @var array<array-key, array<array-key, array{string, list<array{int, int, float}>}>> label and map of each route, by model */
    private array $routes = [];

    /** @var array<string, true> places where a call program runs */
    private array $calls = [];

    /** Why nothing passes what is being made now; null where it does. */
    private ?BlockKind $block = null;

    private ?Wiring $wiring = null;

    private ?DeviceLists $devices = null;

    /** @var array<string, float> delays in ms, by what they are of */
    private readonly array $measured;

    public function __construct(private readonly Rig $rig)
    {
        $this->measured = $rig->papers->measured(MeasureKind::Delay);
    }

    public function devices(): DeviceLists
    {
        return $this->devices ??= new DeviceLists($this->rig, $this->wiring());
    }

    private function wiring(): Wiring
    {
        return $this->wiring ??= new Wiring($this->rig);
    }

    /** @param  SignalGraph|null  $like  of the same situation of a rig that differs little */
    public function build(Situation $situation, ?SignalGraph $like = null): SignalGraph
    {
        $this->state = new State($this->rig, $situation);
        $out = $this->out($situation);
        $silenced = Silenced::of($this->state, $out === [] ? $this->wiring() : new Wiring($this->rig, $out));
        $changes = self::changesOf($situation);
        $set = $like === null || $like->silenced != $silenced ? null : Alike::units($this->rig, $situation, $changes, $like);
        $patched = $like === null || $set === null ? null : $this->patched($like, $set, $changes);
        if ($patched !== null) {
            return $this->graph = $patched;
        }
        $isListed = $like !== null && Alike::isSameListed($this->rig, $situation, $like);
        $devices = $this->listed($situation, $out, $isListed ? $like : null);
        // Measured delays are in links and devices: what was made with others can't be taken over.
        $isAlike = $like !== null && $like->rig->papers->measures === $this->rig->papers->measures;
        $this->graph = new SignalGraph($this->rig, $this->state, $devices, $isAlike ? $like : null);
        $this->graph->silenced = $silenced;
        $this->preFader = $this->unmuted = $this->behindGain = $this->variants = [];
        $absent = array_fill_keys($situation->absent, true);
        if ($isAlike && $like->silenced->units === $silenced->units && Alike::isSameInside($this->rig, $situation, $like)) {
            $this->graph->copyAll($like->silenced->cables === $silenced->cables && Alike::isSameWiring($this->rig, $situation, $like));
        }
        if ($this->graph->ofUnits === null) {
            $this->units($changes, $absent);
        }
        if ($this->graph->ofWiring === null) {
            $this->cables($out);
        }
        $this->block = null;
        $this->calls = [];
        foreach ($this->rig->units as $unit) {
            if (! isset($absent[$unit->id]) && $this->rig->modelOf($unit)->family === Family::Call) {
                $this->calls[$unit->place] = true;
            }
        }
        $this->graph->holders = new Holders($this->graph, $absent);
        $this->graph->refused = new Refused($this->graph);
        foreach ($devices->all() as $list) {
            foreach ($list as $device) {
                $this->device($device);
            }
        }
        $this->played($devices);
        foreach ($this->rig->units as $unit) {
            $this->block = $this->blockOf($unit, isset($absent[$unit->id]));
            foreach ($this->rig->modelOf($unit)->points as $point) {
                if ($point->picks !== null) {
                    $this->pick($unit, $point, $point->picks);
                }
            }
        }
        $this->block = null;
        foreach ($this->airPaths() as $path) {
            $from = $this->rig->point($path->from);
            $to = $this->rig->point($path->to);
            $this->add(new Link(
                $this->graph->exit($path->from),
                $this->graph->entry($path->to),
                $this->triples(ChannelMap::usual($from->channels, $to->channels), $from->channels, $to->channels),
                $path->db->value(),
                $path->delay?->value() ?? self::AIR_MS,
                HopKind::Air,
                new AirRef($path->from, $path->to),
                $this->rig->units[$path->from->unit]->name.' through the air',
                Realm::Air,
            ));
        }

        return $this->graph;
    }

    /** @return array<array-key, list<Change|SettingValue|EffectSwitch|SceneChoice>> by unit */
    private static function changesOf(Situation $situation): array
    {
        $changes = [];
        foreach ([...$situation->effects, ...$situation->scenes] as $switch) {
            $changes[$switch->unit][] = $switch;
        }
        foreach ($situation->changes as $change) {
            $changes[$change->at->unit][] = $change;
        }
        foreach ($situation->settings as $set) {
            $changes[$set->unit][] = $set;
        }

        return $changes;
    }

    /**
     * @param  array<array-key, list<Change|SettingValue|EffectSwitch|SceneChoice>>  $changes  by unit
     * @param  array<string, true>  $absent
     */
    private function units(array $changes, array $absent): void
    {
        foreach ($this->rig->units as $unit) {
            $model = $this->rig->modelOf($unit);
            $block = $this->blockOf($unit, isset($absent[$unit->id]));
            if (! $this->graph->copyUnit($unit, $model, $changes[$unit->id] ?? [], $block)) {
                $this->unit($unit, $model, $changes[$unit->id] ?? [], $block);
            }
        }
        $this->graph->ofUnits = [count($this->graph->width), count($this->graph->links)];
    }

    /** Why nothing passes a unit; null where it does. */
    private function blockOf(Unit $unit, bool $isAbsent): ?BlockKind
    {
        return $isAbsent ? BlockKind::Absent : $this->graph->silenced->units[$unit->id] ?? null;
    }

    /** @param  array<array-key, true>  $out  those that are out, by id */
    private function cables(array $out): void
    {
        foreach ($this->rig->cables as $cable) {
            $this->block = isset($out[$cable->id]) ? BlockKind::NotPlugged : $this->graph->silenced->cables[$cable->id] ?? null;
            if (! $this->graph->copyCable($cable, $this->block)) {
                $first = count($this->graph->links);
                $this->cable($cable);
                $this->graph->ofCables[$cable->id] = [$cable, array_slice($this->graph->links, $first), $this->block];
            }
        }
        $this->graph->ofWiring = [count($this->graph->width), count($this->graph->links)];
    }

    /** @param  list<Change|SettingValue|EffectSwitch|SceneChoice>  $changes  what the situation changes about it */
    private function unit(Unit $unit, EquipmentModel $model, array $changes, ?BlockKind $block): void
    {
        [$node, $link] = [count($this->graph->width), count($this->graph->links)];
        $this->block = $block;
        $realm = $this->realmInside($model);
        foreach ($model->points as $point) {
            $this->point($unit, $point, $realm);
        }
        $isOver = array_flip(array_slice(Refused::tracksAsked($model, $this->state, $unit->id), $model->limits->tracks ?? 0));
        foreach ($model->routes as $key => $route) {
            $this->route(
                $unit,
                $model,
                (string) $key,
                $this->state->route($unit->id, $route),
                $realm,
                isset($isOver[$route->to]) ? BlockKind::Refused : null,
            );
        }
        foreach ($model->meters as $meter) {
            if ($meter->tap === Tap::BeforeMute) {
                $this->unmuted($unit, $model->points[$meter->point], $realm);
            }
        }
        $this->graph->sections[$unit->id] = new UnitSection(
            $unit,
            $model,
            $changes,
            $node,
            count($this->graph->width),
            $link,
            count($this->graph->links),
            $block,
        );
    }

    /**
     * The graph that another comes to, with some units made anew at their place.
     *
     * @param  list<Unit>  $units
     * @param  array<array-key, list<Change|SettingValue|EffectSwitch|SceneChoice>>  $changes  of the situation, by unit
     * @return SignalGraph|null null where a unit takes more room now, or less
     */
    private function patched(SignalGraph $like, array $units, array $changes): ?SignalGraph
    {
        $graph = SignalGraph::standing($this->rig, $this->state, $like);
        foreach ($units as $unit) {
            $was = $like->sections[$unit->id];
            $this->graph = SignalGraph::upTo($like, $was);
            $this->preFader = $this->unmuted = $this->behindGain = $this->variants = [];
            $this->unit($unit, $was->model, $changes[$unit->id] ?? [], $was->block);
            $section = $this->graph->sections[$unit->id];
            if ($section->nodeEnd !== $was->nodeEnd || $section->linkEnd !== $was->linkEnd) {
                return null;
            }
            $graph->replace($was->link, array_slice($this->graph->links, $was->link));
            $graph->sections[$unit->id] = $section;
        }
        $this->block = null;

        return $graph;
    }

    private function add(Link $link): void
    {
        $this->graph->addLink($this->block === null || $link->block !== null ? $link : $link->blockedBy($this->block));
    }

    /** @return array<array-key, true> cables that are out in a situation, or lead to a unit that is not there, by id */
    private function out(Situation $situation): array
    {
        $out = array_fill_keys($situation->pulled, true);
        foreach ($situation->absent === [] ? [] : $this->rig->cables as $cable) {
            if (in_array($cable->from->unit, $situation->absent, true) || in_array($cable->to->unit, $situation->absent, true)) {
                $out[$cable->id] = true;
            }
        }

        return $out;
    }

    /**
     * What computers list in a situation.
     *
     * @param  array<array-key, true>  $out  cables that are out, by id
     * @param  SignalGraph|null  $like  one in which computers list the same
     */
    private function listed(Situation $situation, array $out, ?SignalGraph $like): DeviceLists
    {
        if ($like !== null) {
            return $like->devices;
        }

        return $out === [] && $situation->absent === [] && $situation->defaults === [] && $situation->levels === []
            && $situation->settings === [] && $situation->plugged === []
            ? $this->devices()
            : new DeviceLists(
                $this->rig,
                new Wiring($this->rig, $out),
                $situation->absent,
                $situation->defaults,
                $situation->levels,
                $situation->settings,
                $situation->plugged,
            );
    }

    /**
     * The paths through the air: those that the rig states, and every loudspeaker into every microphone of its place for which the rig
     * states none.
     *
     * @return list<AirPath>
     */
    private function airPaths(): array
    {
        $paths = [];
        foreach ($this->rig->air as $path) {
            $paths["{$path->from} {$path->to}"] = $path;
        }
        $microphones = $loudspeakers = [];
        foreach ($this->rig->units as $unit) {
            $family = $this->rig->modelOf($unit)->family;
            foreach ($this->rig->modelOf($unit)->points as $point) {
                if ($family === Family::Loudspeaker && $point->kind === PointKind::Ear) {
                    $loudspeakers[$unit->place][] = new PointRef($unit->id, $point->id);
                } elseif ($family->hasMicrophone() && $point->kind === PointKind::Origin) {
                    $microphones[$unit->place][] = new PointRef($unit->id, $point->id);
                }
            }
        }
        foreach ($loudspeakers as $place => $froms) {
            foreach ($froms as $from) {
                foreach ($microphones[$place] ?? [] as $to) {
                    $paths["{$from} {$to}"] ??= new AirPath($from, $to, Decibels::of(self::AIR_DB));
                }
            }
        }

        return array_values($paths);
    }

    /**
     * A map's triples; the same few are asked for again and again.
     *
     * @return list<array{int, int, float}>
     */
    private function triples(ChannelMap $map, int $from, int $to): array
    {
        return is_array($map->form)
            ? $map->between($from, $to)
            : $this->triples["{$map->form} {$from} {$to}"] ??= $map->between($from, $to);
    }

    private function realmInside(EquipmentModel $model): Realm
    {
        return $model->isProgram() || $model->family->isHost()
            ? Realm::Computer
            : ($model->family->isRemote() ? Realm::Network : Realm::Analog);
    }

    private function point(Unit $unit, Point $point, Realm $realm): void
    {
        $name = "{$unit->id}/{$point->id}";
        $entry = $node = $this->graph->addNode($point->channels);
        if (($point->gain ?? $point->mute ?? $point->mono ?? $point->inverted ?? $point->delayTo) !== null
            || $this->state->mutedBySetting($unit->id, $point->id) !== null || $this->state->isOutOfScene($unit->id, $point)) {
            $next = $this->graph->addNode($point->channels);
            $this->add($this->gainLink($unit, $point, $node, $next, $realm, match (true) {
                $this->state->isOutOfScene($unit->id, $point) => BlockKind::OutOfScene,
                $this->state->isMuted($unit->id, $point) => BlockKind::Muted,
                default => null,
            }));
            $node = $next;
        }
        if ($point->effects !== null) {
            $this->behindGain[$name] = $node;
        }
        [$this->preFader[$name], $exit] = $this->chain($unit, $point, $node, $this->state->effects($unit->id, $point->id), $realm);
        $this->graph->addPoint($name, $entry, $exit);
    }

    /**
     * Effects and the fader of a point.
     *
     * @param  int  $node  behind its gain and mute
     * @param  list<Effect>  $effects  that are on
     * @return array{int, int} the nodes before and behind the fader
     */
    private function chain(Unit $unit, Point $point, int $node, array $effects, Realm $realm): array
    {
        $at = new PointRef($unit->id, $point->id);
        $straight = $this->triples(ChannelMap::named('straight'), $point->channels, $point->channels);
        foreach ($effects as $effect) {
            $next = $this->graph->addNode($point->channels);
            $this->add(new Link(
                $node,
                $next,
                $straight,
                round($effect->gainAt(-Headroom::USUAL_DB), 2),
                $effect->delay?->value() ?? 0,
                HopKind::Effect,
                $at,
                "{$point->label}: {$effect->label()}",
                $realm,
                effect: $effect->id,
            ));
            $node = $next;
        }
        if ($point->fader === null) {
            return [$node, $node];
        }
        $fader = $this->state->fader($unit->id, $point);
        $next = $this->graph->addNode($point->channels);
        $this->add(new Link(
            $node,
            $next,
            $straight,
            $fader->value(),
            0,
            HopKind::Fader,
            $at,
            $point->label,
            $realm,
            $point->fader->isShutAt($fader) ? BlockKind::Shut : null,
        ));

        return [$node, $next];
    }

    /** The node of a point behind its gain, which exists whether or not it is muted. */
    private function unmuted(Unit $unit, Point $point, Realm $realm): int
    {
        $name = "{$unit->id}/{$point->id}";
        if (! isset($this->unmuted[$name])) {
            $this->unmuted[$name] = $this->graph->addNode($point->channels);
            $this->add($this->gainLink($unit, $point, $this->graph->entry($name), $this->unmuted[$name], $realm));
        }

        return $this->unmuted[$name];
    }

    /** What the first controls of a point do to what enters it: gain, mono, polarity, a delay. */
    private function gainLink(Unit $unit, Point $point, int $from, int $to, Realm $realm, ?BlockKind $block = null): Link
    {
        $map = $this->state->isMono($unit->id, $point) && $point->channels > 1 ? 'average' : 'straight';
        $triples = $this->triples(ChannelMap::named($map), $point->channels, $point->channels);
        $isInverted = $point->inverted !== null && $this->state->of($unit->id, $point, Dials::named('inverted')) === true;

        return new Link(
            $from,
            $to,
            $isInverted ? array_map(fn (array $one) => [$one[0], $one[1], -$one[2]], $triples) : $triples,
            $this->state->gain($unit->id, $point)->value(),
            $this->state->delay($unit->id, $point)->value(),
            HopKind::Gain,
            new PointRef($unit->id, $point->id),
            $point->label,
            $realm,
            $block,
        );
    }

    /**
     * The nodes before and behind a point's fader as a mix takes it that leaves effects out; the usual ones where it leaves none out.
     *
     * @return array{int, int}
     */
    private function takenFor(Unit $unit, EquipmentModel $model, Route $route, Realm $realm): array
    {
        $at = "{$unit->id}/{$route->from}";
        $all = $this->state->effects($unit->id, $route->from);
        $taken = $all === [] ? [] : $this->state->effects($unit->id, $route->from, $route->to);
        if ($taken === $all || ! isset($this->behindGain[$at])) {
            return [$this->preFader[$at], $this->graph->exit($at)];
        }
        $key = "{$at} ".implode(' ', array_map(fn (Effect $one) => $one->id, $taken));

        return $this->variants[$key]
            ??= $this->chain($unit, $model->points[$route->from], $this->behindGain[$at], $taken, $realm);
    }

    /** @param  BlockKind|null  $block  why nothing passes although it is on */
    private function route(Unit $unit, EquipmentModel $model, string $key, Route $route, Realm $realm, ?BlockKind $block): void
    {
        $at = "{$unit->id}/{$route->from}";
        $called = $unit->names === [] ? $unit->model : "{$unit->model} {$unit->id}";
        $called .= isset($unit->follows[$route->to]) ? " of {$unit->id}" : '';
        [$label, $triples] = $this->routes[$called][$key] ??= $this->routeOf($model, $route);
        [$before, $behind] = $unit->effects === []
            ? [$this->preFader[$at], $this->graph->exit($at)]
            : $this->takenFor($unit, $model, $route, $realm);
        $node = match ($route->tap) {
            Tap::Input => $this->graph->entry($at),
            Tap::BeforeMute => $this->unmuted($unit, $model->points[$route->from], $realm),
            Tap::PreFader => $before,
            Tap::PostFader => $behind,
        };
        $this->add(new Link(
            $node,
            $this->graph->entry("{$unit->id}/{$route->to}"),
            $triples,
            $route->db->value(),
            $route->delay?->value() ?? 0,
            HopKind::Route,
            new RouteRef($unit->id, $key),
            $label,
            $realm,
            $route->on ? $block ?? ($route->level?->isShutAt($route->db) === true ? BlockKind::Shut : null) : BlockKind::Off,
        ));
    }

    /** @return array{string, list<array{int, int, float}>} what is the same of a route in every unit of a model */
    private function routeOf(EquipmentModel $model, Route $route): array
    {
        $from = $model->points[$route->from];
        $to = $model->points[$route->to];

        return [
            "{$from->label} → {$to->label}",
            $this->triples($route->map ?? ChannelMap::usual($from->channels, $to->channels), $from->channels, $to->channels),
        ];
    }

    /** The audio lanes of a cable. What runs over a computer's bus belongs to the devices, not here. */
    private function cable(Cable $cable): void
    {
        $from = $this->rig->socket($cable->from);
        $to = $this->rig->socket($cable->to);
        if ($from->link !== null && $to->link !== null) {
            return;
        }
        foreach ($this->wiring()->lanesOf($cable) as [$outAt, $outId, $inAt, $inId]) {
            $outSocket = $this->rig->socket($outAt);
            $inSocket = $this->rig->socket($inAt);
            $out = $outSocket->lanes[$outId];
            $in = $inSocket->lanes[$inId];
            $outPoint = $this->rig->modelOf($outAt->unit)->points[$out->point];
            $inPoint = $this->rig->modelOf($inAt->unit)->points[$in->point];
            $takesOne = $in->channels === null && $this->rig->modelOf($inAt->unit)->takesOneMicrophone();
            $this->add(new Link(
                $this->graph->exit("{$outAt->unit}/{$out->point}"),
                $this->graph->entry("{$inAt->unit}/{$in->point}"),
                $this->conducted($cable, $outSocket, $out, $outPoint, $inSocket, $in, $inPoint, $takesOne),
                0,
                $this->delayOf($cable),
                HopKind::Cable,
                new CableRef($cable->id),
                $cable->label,
                Realm::ofCable($cable->type, $out->signal),
                roomDb: $inSocket->maxDbu === null || ! $out->signal->isAnalog() || $this->wiring()->isPastPreamp($cable, $inAt, $in) ? null
                    : $inSocket->maxDbu - Headroom::nominal($outSocket, $out->signal),
            ));
        }
    }

    /** As somebody has measured it, else what its kind usually costs; in ms. */
    private function delayOf(Cable $cable): float
    {
        return $this->measured["cables/{$cable->id}"] ?? match ($cable->type) {
            CableType::Network => $this->isRemote($cable->from) || $this->isRemote($cable->to) ? self::NETWORK_MS : self::HOUSE_NETWORK_MS,
            CableType::Wireless => self::WIRELESS_MS,
            default => 0.0,
        };
    }

    private function isRemote(SocketRef $at): bool
    {
        return $this->rig->places[$this->rig->units[$at->unit]->place]->kind === PlaceKind::Remote;
    }

    /**
     * What arrives of what leaves, by the conductors at both ends and in the cable. A balanced input takes tip against ring: a stereo plug
     * in it leaves the difference of left and right. An unbalanced stereo input takes tip as left and ring as right: a balanced plug in it
     * gives the right side with turned polarity, and a mono plug, or a lead with one conductor, the left side only: but for the microphone
     * socket of a computer, which has one conductor for one microphone, and whose device gives it on both channels.
     *
     * @param  bool  $takesOne  a microphone at this socket is on every channel of its device
     * @return list<array{int, int, float}>
     */
    private function conducted(
        Cable $cable,
        Socket $outSocket,
        Lane $out,
        Point $outPoint,
        Socket $inSocket,
        Lane $in,
        Point $inPoint,
        bool $takesOne,
    ): array {
        $outChannels = $out->channels ?? range(1, $outPoint->channels);
        $inChannels = $in->channels ?? range(1, $inPoint->channels);
        $from = count($outChannels);
        $to = count($inChannels);
        if ($out->signal->isAnalog() && $in->signal->isAnalog()) {
            $hasRing = min($cable->type->conductors(), $outSocket->connector->conductors(), $inSocket->connector->conductors()) >= 2;
            $map = match (true) {
                $inSocket->balanced => $from >= 2 && $hasRing ? 'difference' : 'to-both',
                $to === 1 => 'left',
                $from >= 2 && $hasRing => 'straight',
                $outSocket->balanced && $hasRing => 'split-polarity',
                $takesOne && $in->signal === SignalKind::Microphone => 'to-both',
                default => 'to-left',
            };
            $triples = ChannelMap::named($map)->between($from, $to);
        } else {
            $triples = ChannelMap::usual($from, $to)->between($from, $to);
        }

        return array_map(fn (array $triple) => [$outChannels[$triple[0]] - 1, $inChannels[$triple[1]] - 1, $triple[2]], $triples);
    }

    private function device(Device $device): void
    {
        $at = "{$device->ref->unit}/{$device->point}";
        $isPlayback = $device->direction === Direction::Playback;
        $pointNode = $isPlayback ? $this->graph->entry($at) : $this->graph->exit($at);
        $hasLevel = $device->db !== null || $device->isMuted || $device->processing() !== [];
        if ($device->via === [] && $device->laneChannels === null && $device->isConnected && ! $hasLevel) {
            $this->graph->addDevice($device, $pointNode);

            return;
        }
        $node = $this->graph->addNode($device->channels);
        $this->graph->addDevice($device, $node);
        if (! $device->isConnected) {
            return;
        }
        if ($hasLevel) {
            $node = $this->level($device, $node);
        }
        $channels = $device->laneChannels ?? range(1, $device->channels);
        $straight = ChannelMap::named('straight')->between($device->channels, $device->channels);
        $steps = [];
        foreach ($device->via as ['cable' => $cable, 'hub' => $hub]) {
            $delay = $this->delayOf($this->rig->cables[$cable]);
            $steps[] = [HopKind::Cable, new CableRef($cable), $this->rig->cables[$cable]->label, $delay];
            if ($hub !== null) {
                $steps[] = [HopKind::Hub, new UnitRef($hub), $this->rig->units[$hub]->name, 0.0];
            }
        }
        $steps = $steps === [] ? [[HopKind::Device, $device->ref, $device->name(), 0.0]] : $steps;
        $last = count($steps) - 1;
        foreach ($steps as $i => [$kind, $ref, $label, $delay]) {
            $next = $i === $last ? $pointNode : $this->graph->addNode($device->channels);
            $map = $i < $last ? $straight : array_map(
                fn (array $triple) => $isPlayback ? [$triple[0], $channels[$triple[1]] - 1, 1.0]
                    : [$channels[$triple[0]] - 1, $triple[1], 1.0],
                $straight,
            );
            $this->add(new Link(
                $isPlayback ? $node : $next,
                $isPlayback ? $next : $node,
                $map,
                0,
                $delay,
                $kind,
                $ref,
                $label,
                Realm::Digital,
            ));
            $node = $next;
        }
    }

    /**
     * The system's own level of a device and what else it does to the sound, between its programs and what it plays to or records from.
     * What the system sends to a playback device is tapped before it.
     *
     * @return int the node behind it
     */
    private function level(Device $device, int $node): int
    {
        $behind = $this->graph->addNode($device->channels);
        $isMono = $device->channels === 2 && in_array(Processing::Mono, $device->processing(), true);
        $does = implode(', ', array_map(fn (Processing $one) => $one->words(), $device->processing()));
        $isPlayback = $device->direction === Direction::Playback;
        $this->add(new Link(
            $isPlayback ? $node : $behind,
            $isPlayback ? $behind : $node,
            ChannelMap::named($isMono ? 'average' : 'straight')->between($device->channels, $device->channels),
            $device->db?->value() ?? 0,
            0,
            $does === '' ? HopKind::System : HopKind::Effect,
            $device->ref,
            "{$device->name()}, in the system".($does === '' ? '' : ": {$does}"),
            Realm::Computer,
            $device->isMuted ? BlockKind::Muted : null,
        ));

        return $behind;
    }

    /** What systems themselves play from a recording device to a playback device. */
    private function played(DeviceLists $devices): void
    {
        foreach ($devices->all() as $list) {
            foreach ($list as $device) {
                $target = $device->settings?->playsTo === null ? null : $list[(string) $device->settings->playsTo] ?? null;
                if ($target === null || ! $device->isConnected || ! $target->isConnected) {
                    continue;
                }
                $map = ChannelMap::usual($device->channels, $target->channels)->between($device->channels, $target->channels);
                $this->add(new Link(
                    $this->graph->deviceNode($device),
                    $this->graph->deviceNode($target),
                    $map,
                    0,
                    $device->latency()->value() + $target->latency()->value(),
                    HopKind::System,
                    $device->ref,
                    "{$device->name()} played to {$target->name()}",
                    Realm::Computer,
                    $device->isUsable() && $target->isUsable() ? null : BlockKind::Disabled,
                    null,
                    $device->clock(),
                ));
            }
        }
    }

    private function pick(Unit $program, Point $point, Direction $direction): void
    {
        $pick = $this->state->pick($program->id, $point->id);
        if ($pick === null) {
            return;
        }
        $channelsRead = $direction === Direction::Recording ? $this->rig->modelOf($program)->limits->channelsRead : null;
        $othersDb = $direction === Direction::Playback ? $this->lowered($program) : 0.0;
        $isLooping = $this->rig->systemKindOf($program->place)?->loopsBack() ?? true;
        foreach ($this->graph->allPicked($program, $point) as $device) {
            $block = match (true) {
                ! $device->isConnected => BlockKind::NotConnected,
                ! $device->isEnabled() => BlockKind::Disabled,
                $pick->mute => BlockKind::Muted,
                $device->direction !== $direction && ! $isLooping => BlockKind::NoLoopback,
                $this->graph->refused->isRefused(new PointRef($program->id, $point->id), $device) => BlockKind::Refused,
                $this->graph->holders->of(new PointRef($program->id, $point->id), $device) !== null => BlockKind::LockedOut,
                $othersDb <= SettingEffect::SILENT_DB => BlockKind::Ducked,
                default => null,
            };
            $this->add($this->pickLink($program, $point, $direction, $device, $pick, $channelsRead, $othersDb, $block));
        }
    }

    /** The dB by which the system lowers what a program plays, because a call program runs on the same computer. */
    private function lowered(Unit $program): float
    {
        $host = $this->rig->hostOf($program->place);
        if ($host === null || $this->rig->modelOf($program)->family === Family::Call || ! isset($this->calls[$program->place])) {
            return 0.0;
        }
        $db = 0.0;
        foreach ($this->rig->modelOf($host)->settings as $setting) {
            $db += $setting->othersDb($this->state->value($host->id, $setting));
        }

        return $db;
    }

    private function pickLink(
        Unit $program,
        Point $point,
        Direction $direction,
        Device $device,
        Pick $pick,
        ?int $channelsRead,
        float $othersDb,
        ?BlockKind $block,
    ): Link {
        $at = new PointRef($program->id, $point->id);
        $node = $this->graph->deviceNode($device);
        // Further devices have the usual channels: a choice applies to the first device.
        $isFirst = $pick->also === [] || ! in_array((string) $device->ref, array_map(strval(...), $pick->also), true);
        $channels = $isFirst ? $pick->channels : null;
        $map = $this->picked($channels, $channelsRead, $device->channels, $point->channels);
        if ($direction === Direction::Playback) {
            $map = $channels === null
                ? ChannelMap::usual($point->channels, $device->channels)->between($point->channels, $device->channels)
                : array_map(fn (array $triple) => [$triple[1], $triple[0], $triple[2]], $map);
        }

        // A tap takes what the system hands to the device: the device's buffer and clock come after it.
        $isTap = $device->direction !== $direction;

        return new Link(
            $direction === Direction::Playback ? $this->graph->exit($at) : $node,
            $direction === Direction::Playback ? $node : $this->graph->entry($at),
            $map,
            ($pick->db?->value() ?? 0) + $othersDb,
            $isTap ? 0.0 : $device->latency()->value(),
            HopKind::Device,
            $device->ref,
            $isTap ? "Loopback of {$device->name()}"
                : $device->name(),
            Realm::Computer,
            $block,
            $at,
            $isTap ? null : $device->clock(),
        );
    }

    /**
     * Which device channels an in reads: the chosen ones in order, else the usual ones; never more than the program reads from a device.
     *
     * @param  list<int>|null  $chosen  counted from 1
     * @return list<array{int, int, float}>
     */
    private function picked(?array $chosen, ?int $channelsRead, int $device, int $point): array
    {
        $readable = min($device, $channelsRead ?? $device);
        if ($chosen === null) {
            return ChannelMap::usual($readable, $point)->between($readable, $point);
        }
        $map = [];
        foreach ($chosen as $i => $channel) {
            if ($channel <= $readable) {
                $map[] = [$channel - 1, $i, 1.0];
                if (count($chosen) === 1 && $point === 2) {
                    $map[] = [$channel - 1, 1, 1.0];
                }
            }
        }

        return $map;
    }
}
