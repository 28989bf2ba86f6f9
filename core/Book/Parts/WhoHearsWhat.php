<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;

/** The hearing table of every situation: what each listener comes to of each sound, and what was wished. */
final class WhoHearsWhat implements Part
{
    /** Cells of all tables together that go on paper. */
    private const MOST = 6000;

    /** Listeners beside each other; more are in a further table below. */
    private const ACROSS = 8;

    public function key(): string
    {
        return 'hearing';
    }

    public function title(): string
    {
        return 'Who hears what';
    }

    public function blocks(BookInput $of): array
    {
        $rig = $of->rig;
        if ($rig->sources === [] || $rig->listeners === []) {
            return [];
        }
        $cells = count($rig->sources) * count($rig->listeners) * count($rig->situations);
        if ($cells > self::MOST) {
            return [new Text("The tables would have {$cells} cells, more than anybody reads on paper. The application shows them.")];
        }
        $blocks = array_merge(...array_map(fn (Situation $situation) => $this->of($of, $situation), array_values($rig->situations)));
        foreach ($rig->balances as $balance) {
            $blocks[] = new Text("Wished: {$balance->words($rig)}.");
        }

        return $blocks;
    }

    /** @return list<Block> what is heard in one situation; of others than the default only what is otherwise than there */
    public function of(BookInput $of, Situation $situation): array
    {
        $rig = $of->rig;
        $base = $rig->base();
        if ($rig->sources === [] || $rig->listeners === []) {
            return [];
        }
        $across = (int) ceil(count($rig->listeners) / ceil(count($rig->listeners) / self::ACROSS));
        $hearing = $of->hearing($situation->id);
        $sounds = $situation === $base ? $rig->sources : array_filter(
            $rig->sources,
            fn (Source $sound) => $this->row($sound, $hearing, $rig->listeners) !== $this->row($sound, $of->hearing(), $rig->listeners),
        );
        $blocks = [new Heading($situation->name)];
        foreach ($sounds === [] ? [] : array_chunk($rig->listeners, max(1, $across), true) as $listeners) {
            $blocks[] = new Table(
                ['Sound', ...array_values(array_map(fn (Listener $one) => $one->name, $listeners))],
                array_values(array_map(fn (Source $sound) => $this->row($sound, $hearing, $listeners), $sounds)),
                [1.3, ...array_fill(0, count($listeners), 1.0)],
            );
        }
        $others = array_map(fn (Source $sound) => $sound->name, array_diff_key($rig->sources, $sounds));
        if ($others !== []) {
            $blocks[] = new Text("As in {$base->name}: ".implode('; ', $others).'.');
        }

        return $blocks;
    }

    /**
     * @param  array<array-key, Listener>  $listeners
     * @return list<string>
     */
    private function row(Source $sound, Hearing $hearing, array $listeners): array
    {
        return [$sound->name, ...array_values(array_map(
            fn (Listener $listener) => self::cell($hearing->pair($sound->id, $listener->id)),
            $listeners,
        ))];
    }

    /** What a listener comes to with a sound: "−6.0 dB, must hear"; what is not as wished says so first. */
    public static function cell(HeardPair $pair): string
    {
        $verdict = $pair->verdict->isAtOdds() ? mb_strtoupper($pair->verdict->value) : '';
        $level = $pair->level() === null ? ($pair->verdict === Verdict::Missing ? '' : 'not heard') : "{$pair->level()->text()} dB";
        $want = match ($pair->wish?->want) {
            Want::Must => 'must hear', Want::May => 'may hear', Want::MustNot => 'must not', null => '',
        };

        return implode(', ', array_filter([$verdict, $level, $want, ...$pair->wish?->marks() ?? []]));
    }
}
