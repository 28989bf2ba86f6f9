<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Hear;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;

/** One voice on the air through two microphones: a webcam's, a headset's, a capture card's in addition to its own. */
final readonly class SecondMicrophone implements Check
{
    /** Ways to shut one that are proposed. */
    private const PROPOSED = 3;

    public function code(): string
    {
        return 'hear.second-microphone';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($in->rig->sources as $source) {
                if ($source->kind === SourceKind::Voice) {
                    yield from count($source->origins) < 2 ? [] : $this->twice($in, $situation, $hearing, $source);
                    yield from $this->unlisted($in, $situation, $source);
                }
            }
        }
    }

    /** @return iterable<Finding> the voice itself arrives by two of its microphones */
    private function twice(Inspection $in, string $situation, Hearing $hearing, Source $source): iterable
    {
        foreach ($in->rig->listeners as $listener) {
            if (! self::isOnAir($listener)) {
                continue;
            }
            $first = null;
            foreach ($hearing->pair($source->id, $listener->id)->arrivals() as $arrival) {
                $at = $arrival->hops[0]->at;
                $first ??= $at;
                if (! $at instanceof PointRef || ! $first instanceof PointRef || $at->unit === $first->unit
                    || ! $in->rig->modelOf($at->unit)->family->hasMicrophone()) {
                    continue;
                }
                yield $this->finding($in, $situation, $source, $listener, $first, $at, $this->shutters($in, $arrival, $situation));

                break;
            }
        }
    }

    /** @return iterable<Finding> a microphone in the voice's place that nobody has said to hear it is open */
    private function unlisted(Inspection $in, string $situation, Source $source): iterable
    {
        $own = $source->origins[0]->at ?? null;
        if ($own === null || $in->field($situation)->sourcesAt($own) === []) {
            return;
        }
        foreach ($in->microphones($in->rig->units[$own->unit]->place) as $unit) {
            $model = $in->rig->modelOf($unit);
            if ($this->isOfAnyVoice($in, $unit->id)) {
                continue;
            }
            foreach ($model->points as $point) {
                $at = new PointRef($unit->id, $point->id);
                $behind = $point->kind === PointKind::Origin
                    ? array_values(array_filter($in->field($situation)->listenersBehind($at), self::isOnAir(...)))
                    : [];
                if ($behind !== []) {
                    yield $this->finding($in, $situation, $source, $behind[0], $own, $at, $this->picks($in, $unit->id));
                }
            }
        }
    }

    /** @param  list<Proposal>  $proposals */
    private function finding(
        Inspection $in,
        string $situation,
        Source $source,
        Listener $listener,
        PointRef $first,
        PointRef $second,
        array $proposals,
    ): Finding {
        $names = [$in->rig->units[$first->unit]->name, $in->rig->units[$second->unit]->name];

        return new Finding(
            $this->code(),
            Severity::Risk,
            "{$source->name} reaches {$listener->name} by {$names[0]} and by {$names[1]}",
            "The second one is farther away: it adds the room and a hollow sound. Mute {$names[1]}, or let nothing pick it.",
            [$first, $second],
            [$situation],
            $proposals,
        );
    }

    private static function isOnAir(Listener $listener): bool
    {
        return in_array($listener->kind, [ListenerKind::Stream, ListenerKind::Track, ListenerKind::Caller], true);
    }

    /** Whether some sound begins at a unit, of this person or another: then it is their microphone. */
    private function isOfAnyVoice(Inspection $in, string $unit): bool
    {
        foreach ($in->rig->sources as $source) {
            foreach ($source->origins as $origin) {
                if ($origin->at->unit === $unit) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Proposal> mutes on a way, those nearest to the microphone first */
    private function shutters(Inspection $in, Arrival $arrival, string $situation): array
    {
        $proposals = [];
        foreach ($arrival->hops as $hop) {
            $proposals = [...$proposals, ...$this->shutter($in, $hop, $situation)];
        }

        return array_slice($proposals, 0, self::PROPOSED);
    }

    /** @return list<Proposal> */
    private function shutter(Inspection $in, Hop $hop, string $situation): array
    {
        return match (true) {
            $hop->pick !== null => [new Proposal(
                "Let {$in->names->of($hop->pick)} pick nothing",
                [new SetPick($hop->pick, null)],
                Cost::NO_PICK,
            )],
            $hop->at instanceof PointRef && $in->rig->point($hop->at)->mute !== null => [new Proposal(
                "Mute {$in->names->of($hop->at)}",
                [new SetPoint($hop->at, new PointSettings(mute: true), $in->override($situation))],
                Cost::SWITCH,
            )],
            default => [],
        };
    }

    /** @return list<Proposal> slots that use a unit's device */
    private function picks(Inspection $in, string $unit): array
    {
        $proposals = [];
        foreach ($in->rig->picks as $pick) {
            if ($pick->device?->unit === $unit) {
                $proposals[] = new Proposal("Let {$in->names->of($pick->at)} pick nothing", [new SetPick($pick->at, null)], Cost::NO_PICK);
            }
        }

        return array_slice($proposals, 0, self::PROPOSED);
    }
}
