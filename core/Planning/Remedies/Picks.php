<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\PickedIn;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Unit;

/** Programs that pick nothing, another device than they should, or the wrong channels of it. */
final class Picks implements Remedy
{
    /** Devices that are tried as the second of a slot. */
    private const OTHERS = 6;

    /** @var array{Trouble, string, list<Pick>}|null what was said last of a point */
    private ?array $said = null;

    /** @var array<string, list<string>> by text */
    private array $words = [];

    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $ofWays = [];
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            if ($hop->pick !== null) {
                $ofWays[(string) $hop->pick] = true;
            }
        }
        foreach ($trouble->rig->units as $unit) {
            foreach ($trouble->rig->modelOf($unit)->points as $point) {
                if ($point->picks === null) {
                    continue;
                }
                $at = new PointRef($unit->id, $point->id);
                if ($point->deviceOf !== null) {
                    yield from $this->followers($trouble, $at, $point, isset($ofWays[(string) $at]));

                    continue;
                }
                $isOnWay = isset($ofWays[(string) $at]);
                if ($trouble->lacks() && $this->isBetween($trouble, $unit, $point)) {
                    yield from $this->devices($trouble, $at, $point, $point->picks, isOnWay: false);
                }
                if ($isOnWay) {
                    yield from $this->devices($trouble, $at, $point, $point->picks, isOnWay: true);
                    yield from $this->none($trouble, $at);
                }
            }
        }
    }

    /** @return iterable<Candidate> */
    private function devices(Trouble $trouble, PointRef $at, Point $point, Direction $direction, bool $isOnWay): iterable
    {
        $host = $trouble->rig->hostOf($trouble->rig->units[$at->unit]->place);
        if ($host === null) {
            return;
        }
        if ($trouble->rig->pickedIn($at) === null) {
            return;
        }
        $now = $trouble->graph->state->pick($at->unit, $at->point);
        $isLooping = $host->system?->kind?->loopsBack() ?? true;
        foreach ($trouble->graph->devices->of($host->id) as $device) {
            $isTap = $device->direction !== $direction;
            if (! $device->isUsable() || $device->ref->unit === $at->unit
                || ($isTap && ($direction === Direction::Playback || ! $isLooping))
                || ! $point->offers($device->ref->pickFrom($isTap))) {
                continue;
            }
            foreach ($this->channels($trouble, $point, $device, $direction, $isOnWay) as $channels) {
                $pick = self::asOpened($now, new Pick($at, $device->ref, null, $channels, $isTap ? $device->direction : null));
                if ($now === null || ! $now->choosesLike($pick)) {
                    yield from $this->pick($trouble, $at, $pick, $device, $now, $isOnWay);
                    yield from $isOnWay || $point->several < 2 ? [] : $this->withAnother($trouble, $at, $point, $pick, $now);
                }
            }
            $isTakenToo = $now?->device !== null && ! $isOnWay && count($now->also) + 1 < $point->several && $isTap === ($now->tap !== null)
                && ! in_array((string) $device->ref, [(string) $now->device, ...array_map(strval(...), $now->also)], true);
            if ($isTakenToo && $this->channels($trouble, $point, $device, $direction, $isOnWay) !== []) {
                yield from $this->pick($trouble, $at, $now->with(also: [...$now->also, $device->ref]), $device, $now, $isOnWay);
            }
        }
        // Another state of the rig may have left it to a default.
        foreach ([SystemDefault::System, SystemDefault::Call] as $default) {
            $pick = self::asOpened($now, new Pick($at, null, $default));
            if ($point->offers(PickFrom::Defaults) && $this->wasBefore($trouble, $pick) && ($now === null || ! $now->choosesLike($pick))) {
                yield from $this->pick($trouble, $at, $pick, null, $now, $isOnWay);
            }
        }
    }

    /**
     * A slot that takes several devices at once and has lost them: the one that is missing here, and each other with it.
     *
     * @return iterable<Candidate>
     */
    private function withAnother(Trouble $trouble, PointRef $at, Point $point, Pick $pick, ?Pick $now): iterable
    {
        $host = $trouble->rig->hostOf($trouble->rig->units[$at->unit]->place);
        $tried = 0;
        foreach ($host === null ? [] : $trouble->graph->devices->of($host->id) as $other) {
            $isAlike = $other->direction === ($pick->tap ?? $point->picks) && $point->offers($other->ref->pickFrom($pick->tap !== null));
            $isElse = ! in_array((string) $other->ref, [(string) $pick->device, (string) $now?->device], true);
            if ($isAlike && $isElse && $other->isUsable() && $other->ref->unit !== $at->unit && $tried++ < self::OTHERS) {
                yield from $this->pick($trouble, $at, $pick->with(also: [$other->ref]), $other, $now, isOnWay: false);
            }
        }
    }

    /** Whether a device picked at a point could join what is apart: there, or at points of its program that take its device. */
    private function isBetween(Trouble $trouble, Unit $unit, Point $point): bool
    {
        foreach ($trouble->rig->modelOf($unit)->points as $one) {
            $at = new PointRef($unit->id, $one->id);
            $takesIt = $one === $point || ($one->deviceOf === $point->id && $trouble->graph->state->pick($unit->id, $one->id) !== null);
            if ($takesIt && ($point->picks === Direction::Playback ? $trouble->region->reaches($at) : $trouble->region->leadsOn($at))) {
                return true;
            }
        }

        return false;
    }

    /** Another choice leaves the system's level of the program, and how it opens devices, as they are. */
    private static function asOpened(?Pick $now, Pick $pick): Pick
    {
        return $now === null ? $pick : $pick->with(db: $now->db, mute: $now->mute, mode: $now->mode);
    }

    /**
     * What a point takes of the device that another point of its program has picked.
     *
     * @return iterable<Candidate>
     */
    private function followers(Trouble $trouble, PointRef $at, Point $point, bool $isOnWay): iterable
    {
        $now = $trouble->graph->state->pick($at->unit, $at->point);
        $program = $trouble->rig->units[$at->unit];
        $giver = $trouble->rig->modelOf($program)->points[(string) $point->deviceOf];
        $device = $trouble->graph->picked($program, $giver);
        $isBetween = $trouble->lacks() && $this->isBetween($trouble, $program, $point);
        if ($point->picks === null || $device === null || (! $isBetween && ! $isOnWay)) {
            return;
        }
        foreach ($this->channels($trouble, $point, $device, $point->picks, $isOnWay) as $channels) {
            $pick = self::asOpened($now, new Pick($at, null, null, $channels ?? range(1, min($point->channels, $device->channels))));
            if ($now === null || ! $now->choosesLike($pick)) {
                yield from $this->pick($trouble, $at, $pick, $device, $now, $isOnWay);
            }
        }
        if ($isOnWay) {
            yield from $this->none($trouble, $at);
        }
    }

    /**
     * The channels that could be chosen of a device so that the sound comes through: the usual ones, each pair, each one.
     *
     * @return list<list<int>|null>
     */
    private function channels(Trouble $trouble, Point $point, Device $device, Direction $direction, bool $isOnWay): array
    {
        $node = $trouble->graph->deviceNode($device);
        $carrying = $direction === Direction::Recording ? $trouble->region->reachedOf($node) : $trouble->region->leadingOf($node);
        if ($carrying === [] && ! $isOnWay) {
            return [];
        }
        $choices = [null];
        if ($device->channels > $point->channels || ($device->channels === 2 && $point->channels === 2 && ! $isOnWay)) {
            foreach ($isOnWay ? range(1, min(32, $device->channels)) : $carrying as $channel) {
                $first = $channel - ($channel - 1) % 2;
                if ($point->channels === 2 && $first < $device->channels && $device->channels > 2) {
                    $choices["{$first}"] = [$first, $first + 1];
                }
                $choices["one {$channel}"] = [$channel];
            }
        }

        return array_values($choices);
    }

    /** @return iterable<Candidate> */
    private function pick(Trouble $trouble, PointRef $at, Pick $pick, ?Device $device, ?Pick $now, bool $isOnWay): iterable
    {
        $isKnown = $this->wasBefore($trouble, $pick);
        $isAlike = $device !== null && $this->isAlike($trouble, $at, $device);
        // Only to be rid of something, nobody takes just any other device.
        $cost = ($isOnWay && ! $isKnown && ! $isAlike ? Cost::ANY_OTHER : 0) + ($now === null ? Cost::FIRST_PICK
            : Cost::PICK) + ($pick->tap === null || $now?->tap !== null ? 0 : Cost::TAP) + ($pick->channels === null ? 0
            : count($pick->channels) * Cost::CHANNELS)
            + ($now !== null && (string) $now->device === (string) $pick->device && $now->channels !== null && $pick->channels === null
                ? -Cost::CHANNELS : 0)
            + ($isKnown ? Cost::KNOWN : 0) + ($isAlike ? Cost::ALIKE : 0);
        foreach ($trouble->placesOf($at, 'pick') as $more => $situation) {
            yield new Candidate(
                "pick {$at} {$pick->choice()} {$situation}",
                fn () => self::refused($trouble, $at) ?? $this->isNow($trouble, $trouble->names->of($at), $now, $pick),
                fn () => $trouble->picking($at, $this->choice($trouble, $pick, $device)).$trouble->where($situation)
                    .($trouble->rig->pickedIn($at) === PickedIn::System ? ', in the system\'s list of programs' : ''),
                [new SetPick($at, $pick, $situation)],
                $cost + $more,
                [$at, ...($pick->device === null ? [] : [$pick->device])],
            );
        }
    }

    /** "Desk return, channels 3 and 4" */
    private function choice(Trouble $trouble, Pick $pick, ?Device $device): string
    {
        $choice = $device === null
            ? ($pick->default ?? SystemDefault::System)->words()
            : ($pick->tap === null ? '' : 'the loopback of ')."\"{$device->name()}\"";
        $channels = $pick->channels === null
            ? ''
            : (count($pick->channels) === 1 ? ", channel {$pick->channels[0]}" : ', channels '.implode(' and ', $pick->channels));

        return ($pick->also === [] ? $choice : self::taken($trouble, $pick).' at once').$channels;
    }

    /** "Left mic and Right mic": all that a pick takes. */
    private static function taken(Trouble $trouble, Pick $pick): string
    {
        return ($pick->tap === null || $pick->also === [] ? '' : 'the loopbacks of ')
            .Listing::of(array_map($trouble->names->of(...), $pick->device === null ? $pick->also : [$pick->device, ...$pick->also]));
    }

    /** Whether the names of the program, its point or the sound share a word with the device's. */
    private function isAlike(Trouble $trouble, PointRef $at, Device $device): bool
    {
        $program = "{$trouble->rig->units[$at->unit]->name} {$trouble->rig->point($at)->label} {$trouble->pair->source->name}";

        return array_intersect($this->words($program), $this->words($device->name())) !== [];
    }

    /** @return list<string> the beginnings of the words of a text */
    private function words(string $text): array
    {
        return $this->words[$text] ??= array_values(array_map(fn (string $word) => substr($word, 0, 5), array_filter(
            (array) preg_split('/[^\p{L}]+/u', mb_strtolower($text)),
            fn (mixed $word) => is_string($word) && strlen($word) >= 4,
        )));
    }

    /** Where a program does not open what is picked, since it opens no more than it has; null where it does. */
    public static function refused(Trouble $trouble, PointRef $at): ?string
    {
        $program = $trouble->rig->units[$at->unit];
        $limits = $trouble->rig->modelOf($program)->limits;
        foreach ($trouble->graph->allPicked($program, $trouble->rig->point($at)) as $device) {
            if ($trouble->graph->refused->isRefused($at, $device)) {
                return "{$program->name} opens only ".($limits->devicesAtOnce === null
                    ? Count::of($limits->sources ?? 0, 'source')
                    : Count::of($limits->devicesAtOnce, 'device').' at once')
                    .", and {$device->name()} at {$trouble->rig->point($at)->label} is one too many";
            }
        }

        return null;
    }

    private function isNow(Trouble $trouble, string $name, ?Pick $now, Pick $then): string
    {
        if ($now === null) {
            return "{$name} has no device picked";
        }
        if ($now->device === null && $now->default === null) {
            return "{$name} takes the wrong channels";
        }
        if ($now->device === null) {
            return "{$name} follows ".($now->default ?? SystemDefault::System)->words();
        }

        if ($then->also !== []) {
            return "{$name} has only ".self::taken($trouble, $now).' picked';
        }
        if ((string) $now->device !== (string) $then->device || $now->tap !== $then->tap) {
            return "{$name} has {$trouble->names->of($now->device)} picked";
        }
        $read = $trouble->rig->modelOf($now->at->unit)->limits->channelsRead;
        $channels = $now->channels ?? [];
        if ($read !== null && $channels !== [] && min($channels) > $read) {
            return "{$name} is set to ".(count($channels) === 1 ? 'channel ' : 'channels ').implode(' and ', $channels)
                ." of {$trouble->names->of($now->device)}, but {$trouble->rig->units[$now->at->unit]->name} reads only "
                .($read === 1 ? 'the first channel' : "the first {$read} channels").' of a device';
        }

        return "{$name} takes the wrong channels of {$trouble->names->of($now->device)}";
    }

    /** @return iterable<Candidate> */
    private function none(Trouble $trouble, PointRef $at): iterable
    {
        yield new Candidate(
            "pick {$at} none",
            "{$trouble->names->of($at)} takes it",
            $trouble->pickingNone($at),
            [new SetPick($at, null)],
            Cost::NO_PICK,
            [$at],
        );
    }

    /** Whether the rig has it in any situation, or had it before. */
    private function wasBefore(Trouble $trouble, Pick $pick): bool
    {
        foreach ($this->said($trouble, $pick->at) as $said) {
            if ($said->choosesLike($pick)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Pick> what is picked at a point in any situation, and was in states of the rig before */
    private function said(Trouble $trouble, PointRef $at): array
    {
        if ($this->said === null || $this->said[0] !== $trouble || $this->said[1] !== (string) $at) {
            $said = [];
            foreach ([$trouble->rig, ...$trouble->earlier] as $rig) {
                if (isset($rig->picks[(string) $at])) {
                    $said[] = $rig->picks[(string) $at];
                }
                foreach ($rig->situations as $situation) {
                    foreach ($situation->changes as $change) {
                        if ($change->set instanceof Pick && (string) $change->at === (string) $at) {
                            $said[] = $change->set;
                        }
                    }
                }
            }
            $this->said = [$trouble, (string) $at, $said];
        }

        return $this->said[2];
    }
}
