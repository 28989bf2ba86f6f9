<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Readings;

/** What each meter and lamp shows, situation by situation, while one sound plays at a time: the proof that the rig is as it is written. */
final class MetersToExpect implements Part
{
    public function key(): string
    {
        return 'meters';
    }

    public function title(): string
    {
        return 'What meters and lamps show';
    }

    public function blocks(BookInput $of): array
    {
        $rig = $of->rig;
        $units = array_values(array_filter(
            $rig->units,
            fn (Unit $unit) => $rig->modelOf($unit)->meters !== [] || $rig->modelOf($unit)->lamps !== [],
        ));
        $readings = $units === []
            ? []
            : array_map(fn ($situation) => new Readings($of->hearing($situation->id)->graph()), $rig->situations);
        $blocks = [];
        foreach ($units as $unit) {
            $rows = [...$this->meters($of, $unit, $readings), ...$this->lamps($of, $unit, $readings)];
            if ($rows !== []) {
                $blocks[] = new Heading($unit->name);
                $blocks[] = new Table(
                    ['Meter or lamp', 'A usual level', 'Sound', ...array_values(array_map(fn ($one) => $one->name, $rig->situations))],
                    $rows,
                );
            }
        }

        return $blocks;
    }

    /**
     * @param  array<string, Readings>  $readings  by situation
     * @return list<list<string>>
     */
    private function meters(BookInput $of, Unit $unit, array $readings): array
    {
        $rows = [];
        foreach ($of->rig->modelOf($unit)->meters as $meter) {
            $levels = array_map(fn (Readings $in) => $in->of($unit, $meter), $readings);
            foreach ($of->rig->sources as $sound) {
                if (array_filter($levels, fn (array $of) => isset($of[$sound->id])) !== []) {
                    $rows[] = [$meter->label, $meter->target(), $sound->name, ...array_values(array_map(
                        fn (array $of) => isset($of[$sound->id]) ? $meter->reading($of[$sound->id]) : 'nothing',
                        $levels,
                    ))];
                }
            }
        }

        return $rows;
    }

    /**
     * @param  array<string, Readings>  $readings  by situation
     * @return list<list<string>>
     */
    private function lamps(BookInput $of, Unit $unit, array $readings): array
    {
        return array_values(array_map(fn ($lamp) => [
            $lamp->label, '', '', ...array_values(array_map(fn (Readings $in) => $in->isLit($unit, $lamp) ? 'lit' : 'dark', $readings)),
        ], $of->rig->modelOf($unit)->lamps));
    }
}
