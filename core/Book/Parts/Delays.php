<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/**
 * How late each sound comes to whom, what holds it back on the way, and what crosses the air: all that acts in some situation, with where
 * each figure is from.
 */
final class Delays implements Part
{
    /** Cells of all tables together that go on paper. */
    private const MOST = 6000;

    /** What is said to a tenth of a millisecond is nothing below half of that. */
    private const LEAST_MS = 0.05;

    public function key(): string
    {
        return 'delays';
    }

    public function title(): string
    {
        return 'Delays, and what crosses the air';
    }

    public function blocks(BookInput $of): array
    {
        $rig = $of->rig;
        $cells = count($rig->sources) * count($rig->listeners) * count($rig->situations);
        if ($cells > self::MOST) {
            return [new Text("The tables would have {$cells} cells, more than anybody reads on paper. The application shows the delays.")];
        }
        [$acting, $soundsOf] = $this->acting($of);

        return [...$this->sums($of), ...$this->holds($of, $acting, $soundsOf), ...$this->air($of, $acting, $soundsOf)];
    }

    /**
     * Steps that hold a sound back or cross the air, on a way by which somebody hears something in some situation.
     *
     * @return array{array<string, Hop>, array<string, array<string, string>>} by step, and the sounds that pass it
     */
    private function acting(BookInput $of): array
    {
        $acting = $sounds = [];
        foreach ($of->rig->situations as $situation) {
            foreach ($of->hearing($situation->id)->all() as $pair) {
                foreach ($pair->isHeard() ? $pair->arrivals() : [] as $arrival) {
                    foreach ($arrival->hops as $hop) {
                        if ($hop->kind === HopKind::Air || $hop->delay->value() >= self::LEAST_MS) {
                            $slot = "{$hop->kind->value} {$hop->ref} {$hop->label} {$hop->delay->value()}";
                            $acting[$slot] = $hop;
                            $sounds[$slot][$pair->source->id] = $pair->source->name;
                        }
                    }
                }
            }
        }

        return [$acting, $sounds];
    }

    /** @return list<Heading|Table|Text> a table for each situation that is not like an earlier one */
    private function sums(BookInput $of): array
    {
        $rig = $of->rig;
        $blocks = $told = [];
        foreach ($rig->situations as $situation) {
            $hearing = $of->hearing($situation->id);
            $rows = $listeners = [];
            foreach ($rig->sources as $source) {
                foreach ($rig->listeners as $listener) {
                    $pair = $hearing->pair($source->id, $listener->id);
                    $delay = $pair->isHeard() ? $pair->delay() : null;
                    if ($delay !== null && $delay->value() >= self::LEAST_MS) {
                        $listeners[$listener->id] = true;
                        $rows[$source->id][$listener->id] = "{$delay->text()} ms";
                    }
                }
            }
            if ($rows === []) {
                continue;
            }
            $columns = array_map(fn ($one) => $one->name, array_intersect_key($rig->listeners, $listeners));
            $table = [];
            foreach ($rows as $id => $row) {
                $table[] = [$rig->sources[$id]->name, ...array_map(fn (string|int $to) => $row[$to] ?? '', array_keys($columns))];
            }
            $like = array_search([$columns, $table], $told, true);
            $told[$situation->name] = [$columns, $table];
            $blocks[] = new Heading("How late it comes: {$situation->name}");
            $blocks[] = $like !== false ? new Text("As in \"{$like}\".") : new Table(
                ['Sound', ...array_values($columns)],
                $table,
                [1.6, ...array_fill(0, count($columns), 1.0)],
            );
        }

        return $blocks;
    }

    /**
     * @param  array<string, Hop>  $acting
     * @param  array<string, array<string, string>>  $soundsOf
     * @return list<Heading|Table>
     */
    private function holds(BookInput $of, array $acting, array $soundsOf): array
    {
        $measured = $of->rig->papers->measured(MeasureKind::Delay);
        uksort($acting, fn (string $a, string $b) => [$acting[$b]->delay->value(), $a] <=> [$acting[$a]->delay->value(), $b]);
        $rows = [];
        foreach ($acting as $slot => $hop) {
            if ($hop->kind !== HopKind::Air) {
                $rows[] = [
                    self::where($of, $hop), "{$hop->delay->text()} ms",
                    self::isMeasured($hop, $measured) ? 'measured' : self::origin($hop), $this->sounds($of->rig, $soundsOf[$slot]),
                ];
            }
        }

        return $rows === [] ? [] : [
            new Heading('What holds a sound back'),
            new Table(['Where', 'Delay', 'Figure from', 'Sounds that pass it'], $rows, [2.4, 0.7, 1.1, 2.4]),
        ];
    }

    /**
     * @param  array<string, Hop>  $acting
     * @param  array<string, array<string, string>>  $soundsOf
     * @return list<Heading|Table>
     */
    private function air(BookInput $of, array $acting, array $soundsOf): array
    {
        $rows = [];
        foreach ($acting as $slot => $hop) {
            if ($hop->at instanceof AirRef) {
                $own = self::path($of->rig, $hop->at);
                $rows[] = [
                    $of->names->of($hop->at->from), $of->names->of($hop->at->to), "{$hop->gain->text()} dB, {$hop->delay->text()} ms",
                    match (true) {
                        $own === null => 'assumed: they are in one place',
                        $own->delay === null => 'written down; the delay assumed',
                        default => 'written down',
                    },
                    $this->sounds($of->rig, $soundsOf[$slot]),
                ];
            }
        }

        return $rows === [] ? [] : [
            new Heading('What crosses the air'),
            new Table(['From', 'Into', 'At', 'Figure from', 'Sounds that pass it'], $rows, [1.6, 1.6, 1.1, 1.3, 2]),
        ];
    }

    /** A device's name mostly says nothing of its unit. */
    private static function where(BookInput $of, Hop $hop): string
    {
        $name = $of->names->of($hop->at);
        $unit = $hop->at instanceof DeviceRef ? $of->rig->units[$hop->at->unit]->name : '';

        return match (true) {
            $hop->at instanceof DeviceRef => str_starts_with($name, $unit) ? $name : "{$unit}: {$name}",
            $hop->kind === HopKind::Effect => $of->rig->units[$hop->at->unit ?? '']->name.": {$hop->label}",
            default => $name,
        };
    }

    private static function path(Rig $rig, AirRef $at): ?AirPath
    {
        foreach ($rig->air as $path) {
            if ((string) $path->from === (string) $at->from && (string) $path->to === (string) $at->to) {
                return $path;
            }
        }

        return null;
    }

    /** @param  array<string, float>  $measured  by what it is about */
    private static function isMeasured(Hop $hop, array $measured): bool
    {
        return match (true) {
            $hop->at instanceof CableRef => isset($measured["cables/{$hop->at->cable}"]),
            $hop->at instanceof DeviceRef => isset($measured["units/{$hop->at->unit}/sockets/{$hop->at->givenBy}"]),
            default => false,
        };
    }

    private static function origin(Hop $hop): string
    {
        return match ($hop->kind) {
            HopKind::Effect, HopKind::Gain, HopKind::Fader => 'set there',
            HopKind::Cable, HopKind::Hub, HopKind::System => 'usual for its kind',
            HopKind::Origin => 'where the sound is',
            default => 'the model',
        };
    }

    /** @param  array<string, string>  $names  by id */
    private function sounds(Rig $rig, array $names): string
    {
        return count($names) === count($rig->sources) && count($names) > 1 ? 'all'
            : implode(', ', array_intersect_key(array_map(fn (Source $one) => $one->name, $rig->sources), $names));
    }
}
