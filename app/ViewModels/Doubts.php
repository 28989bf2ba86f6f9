<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Reliance;

/** What nobody has proven yet, and what is known not to work: with what hangs on it, the cheapest proof first. */
final readonly class Doubts
{
    /** Sounds that are named of those that hang on one thing. */
    private const NAMED = 8;

    /** @var list<array{fact: Fact, subject: string, isOpen: bool, hangs: string, proof: string}> */
    public array $open;

    /** @var list<array{fact: Fact, subject: string}> */
    public array $proven;

    /** @var list<string> what is taken for granted since nobody has said it */
    public array $assumed;

    public function __construct(RigPage $page)
    {
        $this->assumed = self::assumed($page);
        $this->open = array_map(fn (array $row) => [
            'fact' => $row['fact'],
            'subject' => $row['fact']->subject($page->rig),
            'isOpen' => $row['fact']->certainty->isOpen(),
            'hangs' => self::hangs($row['pairs']),
            'proof' => implode(' ', array_filter([
                $row['fact']->proof,
                $row['fact']->minutes === null ? '' : '('.Count::of($row['fact']->minutes, 'minute').')',
            ])),
        ], Reliance::of($page->hearing)->all());
        $this->proven = array_values(array_map(
            fn (Fact $fact) => ['fact' => $fact, 'subject' => $fact->subject($page->rig)],
            array_filter($page->rig->papers->facts, fn (Fact $fact) => $fact->certainty === Certainty::Proven),
        ));
    }

    /** @return list<string> computers whose loopback is used and of which nobody has said that their systems have one */
    private static function assumed(RigPage $page): array
    {
        $assumed = [];
        foreach ($page->rig->picks as $pick) {
            $host = $pick->tap === null ? null : $page->rig->hostOf($page->rig->units[$pick->at->unit]->place);
            if ($host !== null && $host->system?->kind === null) {
                $assumed[$host->id] = "The system of {$host->name} is taken to loop back any device: say in Stock what it can do.";
            }
        }

        return array_values($assumed);
    }

    /** @param  list<HeardPair>  $pairs */
    private static function hangs(array $pairs): string
    {
        $by = [];
        foreach ($pairs as $pair) {
            $by[$pair->source->name][] = $pair->listener->name;
        }
        $said = array_map(
            fn (string|int $sound, array $listeners) => "{$sound} at ".implode(', ', $listeners),
            array_keys($by),
            array_values($by),
        );
        $more = count($said) - self::NAMED;

        return $pairs === [] ? 'nothing that is heard now'
            : implode('; ', array_slice($said, 0, self::NAMED)).($more > 0 ? '; and '.Count::of($more, 'more sound') : '');
    }
}
