<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Words\WordSearch;

/**
 * The starters, the nearest to what somebody has first: by how many kinds of things there are as many of, then by how little is missing,
 * then by how little is too much, then the simplest.
 *
 * @phpstan-type Fit array{card: StarterCard, fits: array<string, 'same'|'more'|'less'>, same: int, more: string, less: string}
 */
final readonly class LikeMine
{
    /** Of a kind nobody counts more. */
    public const MOST = 20;

    /** @var array<string, int> how many of each, by {@see Having} */
    public array $wanted;

    /** @var list<Fit> */
    public array $fits;

    /**
     * @param  list<StarterCard>  $starters  the simplest first
     * @param  array<string, string>  $asked  counts by {@see Having}, and `like`, what a starter is to be about
     */
    public function __construct(array $starters, array $asked, public string $text = '')
    {
        $wanted = [];
        foreach (Having::cases() as $having) {
            $wanted[$having->value] = max(0, min(self::MOST, (int) ($asked[$having->value] ?? 0)));
        }
        $this->wanted = $wanted;
        $search = new WordSearch($text);
        $isAbout = fn (StarterCard $card): bool => $search->isEmpty()
            || $search->rank($card->name, [], "{$card->summary} {$card->about}") !== null;
        $fits = array_map($this->fit(...), array_values(array_filter($starters, $isAbout)));
        if ($this->isAsked()) {
            usort($fits, fn (array $one, array $other): int => $this->distance($one) <=> $this->distance($other));
        }
        $this->fits = $fits;
    }

    /** Whether anything is counted. */
    public function isAsked(): bool
    {
        return array_sum($this->wanted) > 0;
    }

    /** @return Fit */
    private function fit(StarterCard $card): array
    {
        $fits = $more = $less = [];
        foreach (Having::cases() as $having) {
            $by = ($card->has[$having->value] ?? 0) - $this->wanted[$having->value];
            $fits[$having->value] = $by === 0 ? 'same' : ($by > 0 ? 'more' : 'less');
            if ($by > 0) {
                $more[] = $having->counted($by);
            } elseif ($by < 0) {
                $less[] = $having->counted(-$by);
            }
        }
        $same = count(array_keys($fits, 'same', true));

        return ['card' => $card, 'fits' => $fits, 'same' => $same, 'more' => implode(', ', $more), 'less' => implode(', ', $less)];
    }

    /**
     * @param  Fit  $fit
     * @return array{int, int, int, int} smaller is nearer
     */
    private function distance(array $fit): array
    {
        $lacks = $exceeds = 0;
        foreach ($this->wanted as $having => $count) {
            $by = ($fit['card']->has[$having] ?? 0) - $count;
            $lacks += max(0, -$by);
            $exceeds += max(0, $by);
        }

        return [-$fit['same'], $lacks, $exceeds, $fit['card']->units];
    }
}
