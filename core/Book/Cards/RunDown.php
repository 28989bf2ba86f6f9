<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Cards;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\CardKind;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Equipment\InstallNeed;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\ShowStep;
use HiddenWire\Core\Rig\Unit;

/** Opening and closing the show: what follows from the rig, and what somebody has written beside it, in order, with times and waits. */
final class RunDown implements CardKind
{
    public static function name(): string
    {
        return 'Run-down';
    }

    public static function titles(BookInput $of): array
    {
        return ['run-down' => 'Run-down'];
    }

    public static function card(BookInput $of, string $key): Card
    {
        $sections = [];
        foreach (Phase::cases() as $phase) {
            $derived = self::derived($of, $phase);
            $written = array_map(
                fn (ShowStep $step) => new CardStep($step->text, '', $step->atMin, $step->waitS),
                $of->rig->papers->stepsOf($phase),
            );
            $sections[$phase->label()] = $phase->hasWrittenFirst()
                ? [...$written, ...$derived]
                : [...$derived, ...$written];
        }

        return Card::of('run-down', 'Run-down', $of->rig->name, $sections);
    }

    /** @return list<CardStep> what follows from the rig in a phase */
    public static function derived(BookInput $of, Phase $phase): array
    {
        return match ($phase) {
            Phase::Prepare => [...self::power($of, isOn: true), ...self::plugs($of)],
            Phase::Open => self::programs($of, isOpening: true),
            Phase::Start => self::start($of),
            Phase::Stop => self::stop($of),
            Phase::Close => [...self::programs($of, isOpening: false), ...self::power($of, isOn: false)],
        };
    }

    /** @return list<CardStep> what has a mains lead, place by place, loudspeakers after everything else; off the other way round */
    private static function power(BookInput $of, bool $isOn): array
    {
        $steps = [];
        foreach ([false, true] as $areLoud) {
            foreach ($of->rig->places as $place) {
                $units = array_values(array_filter($of->rig->units, fn (Unit $unit) => $unit->place === $place->id
                    && self::hasMains($of, $unit) && self::isLoud($of, $unit) === $areLoud));
                if ($units !== []) {
                    $steps[] = new CardStep(
                        "{$place->name}: switch ".($isOn ? 'on ' : 'off ')
                            .implode(', ', array_map(fn (Unit $unit) => $unit->name, $isOn ? $units : array_reverse($units))),
                        waitS: $isOn ? max(array_map(fn (Unit $unit) => $unit->readyS ?? 0, $units)) : 0,
                    );
                }
            }
        }

        return $isOn ? $steps : array_reverse($steps);
    }

    /** @return list<CardStep> of each system that takes what was plugged in last: what comes last */
    private static function plugs(BookInput $of): array
    {
        $steps = [];
        foreach ($of->rig->units as $computer) {
            if ($of->rig->modelOf($computer)->takes !== Takes::LastPlugged) {
                continue;
            }
            $devices = $of->graph()->devices;
            $leads = [];
            foreach ($devices->of($computer->id) as $device) {
                $cable = $devices->plugOf($device);
                if ($cable !== null) {
                    $leads[$cable] = ($leads[$cable] ?? false) || $device->roles !== [];
                }
            }
            // With one lead there is no order.
            $last = count($leads) < 2 ? [] : array_keys(array_filter($leads));
            $order = array_flip([...array_keys($of->rig->cables), ...$of->rig->base()->plugged]);
            usort($last, fn (int|string $a, int|string $b) => $order[$a] <=> $order[$b]);
            if ($last !== []) {
                $labels = array_map(fn (int|string $cable) => $of->rig->cables[$cable]->label, $last);
                $steps[] = new CardStep(
                    "{$computer->name}: plug in last of all ".implode(', then ', $labels),
                    'it takes the sound of what was plugged in last',
                );
            }
        }

        return $steps;
    }

    private static function hasMains(BookInput $of, Unit $unit): bool
    {
        $model = $of->rig->modelOf($unit);

        return in_array($model->supply, [Supply::MainsEarthed, Supply::MainsUnearthed], true) || $model->family->isHost();
    }

    private static function isLoud(BookInput $of, Unit $unit): bool
    {
        return array_filter($of->rig->listeners, fn ($one) => $one->kind === ListenerKind::Speakers
            && array_filter($one->at, fn ($ear) => $ear->unit === $unit->id) !== []) !== [];
    }

    /** What has to be known of a program whenever it starts. */
    private static function atStart(BookInput $of, Unit $program, string $needs): string
    {
        $asks = ComputerCard::asks($program, $of->rig->modelOf($program));

        return implode('; ', array_filter([
            $needs,
            in_array(InstallNeed::RightsAtStart, $asks, true) ? 'with the rights of an administrator' : '',
            in_array(InstallNeed::TrialDisturbs, $asks, true) ? 'without a licence it disturbs the sound' : '',
        ]));
    }

    /** @return list<CardStep> */
    private static function programs(BookInput $of, bool $isOpening): array
    {
        $steps = [];
        foreach ($of->rig->units as $computer) {
            if (! $of->rig->modelOf($computer)->family->isHost()) {
                continue;
            }
            $own = [];
            foreach (ComputerCard::programs($of, $computer) as $program) {
                $needs = implode(', ', array_map(fn (string $id) => $of->rig->units[$id]->name, $program->needs));
                $own[] = match (true) {
                    ! $isOpening => new CardStep("{$computer->name}: close {$program->name}"),
                    $program->atLogin => new CardStep(
                        "{$computer->name}: see that {$program->name} has started",
                        self::atStart($of, $program, ''),
                        waitS: $program->readyS ?? 0,
                    ),
                    default => new CardStep(
                        "{$computer->name}: start {$program->name}",
                        self::atStart($of, $program, $needs === '' ? '' : "it needs {$needs}"),
                        waitS: $program->readyS ?? 0,
                    ),
                };
            }
            $steps = [...$steps, ...($isOpening ? $own : array_reverse($own))];
        }

        return $steps;
    }

    /** @return list<CardStep> */
    private static function start(BookInput $of): array
    {
        $steps = [new CardStep("Set everything as in {$of->rig->base()->name}")];
        foreach (self::unitsOf($of, ListenerKind::Track) as $unit) {
            $steps[] = new CardStep("Start the recording in {$unit->name}");
        }
        foreach (self::unitsOf($of, ListenerKind::Stream) as $unit) {
            $steps[] = new CardStep("Start the stream in {$unit->name}");
        }
        if (count($steps) > 1) {
            $steps[] = new CardStep('Say a few words and see every meter move that should');
        }

        return $steps;
    }

    /** @return list<CardStep> */
    private static function stop(BookInput $of): array
    {
        $steps = [];
        foreach (self::unitsOf($of, ListenerKind::Stream) as $unit) {
            $steps[] = new CardStep("Stop the stream in {$unit->name}");
        }
        foreach (self::unitsOf($of, ListenerKind::Track) as $unit) {
            $steps[] = new CardStep("Stop the recording in {$unit->name}, and see that the file is there");
        }

        return $steps;
    }

    /** @return array<string, Unit> units at which listeners of a kind are, by id */
    private static function unitsOf(BookInput $of, ListenerKind $kind): array
    {
        $units = [];
        foreach ($of->rig->listeners as $listener) {
            foreach ($listener->kind === $kind ? $listener->at : [] as $ear) {
                $units[$ear->unit] = $of->rig->units[$ear->unit];
            }
        }

        return $units;
    }
}
