<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

/** What a tried change comes to, all situations together. */
final readonly class Outcome
{
    /** @var array<string, true> */
    private array $isMended;

    /**
     * @param  list<string>  $mended  keys of cells that become as wished
     * @param  list<string>  $costs  what else changes, in words
     * @param  float  $oddness  how far the levels of what is mended are from what they are elsewhere, in dB
     */
    public function __construct(public Candidate $candidate, public array $mended, public array $costs, public float $oddness)
    {
        $this->isMended = array_fill_keys($mended, true);
    }

    public function mends(string $cell): bool
    {
        return isset($this->isMended[$cell]);
    }

    /** The better comes first: it mends more, costs others less, is easier, and sounds more like the rest. */
    public static function compare(self $a, self $b): int
    {
        return [
            count($b->mended),
            count($a->costs),
            $a->candidate->cost,
            round($a->oddness, 1),
        ] <=> [count($a->mended), count($b->costs), $b->candidate->cost, round($b->oddness, 1)];
    }
}
