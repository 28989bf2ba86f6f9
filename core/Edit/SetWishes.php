<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/**
 * Says the same of any number of pairs. Without a situation it holds in all, and wishes that named one for these pairs go; with a
 * situation it holds there, and what held in all stays for the others.
 */
final readonly class SetWishes implements RigEdit
{
    /**
     * @param  list<array{string, string}>  $pairs  source and listener
     * @param  Want|null  $want  null takes the wishes back
     * @param  string|null  $situation  null for all
     */
    public function __construct(public array $pairs, public ?Want $want, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $open = [];
        foreach ($this->pairs as [$source, $listener]) {
            $open["{$source} {$listener}"] = [$source, $listener];
        }
        $pairs = $open;
        $kept = $before = [];
        foreach ($rig->wishes as $wish) {
            $key = "{$wish->source} {$wish->listener}";
            if (! isset($pairs[$key])) {
                $kept[] = $wish;
            } elseif ($this->situation !== null) {
                // What else was said of the pair here (its own level, alone) stays with it.
                if (in_array($this->situation, $wish->situations, true)) {
                    $before[$key] = $wish;
                }
                $others = array_values(array_diff($wish->situations, [$this->situation]));
                if ($wish->situations === [] || $others !== []) {
                    $kept[] = $wish->with(situations: $others);
                }
            } elseif ($wish->situations === [] && $this->want !== null) {
                $kept[] = $wish->with(want: $this->want, upToDb: $this->want === Want::MustNot ? $wish->upToDb : null);
                unset($open[$key]);
            }
        }
        if ($this->want === null) {
            return new Rig($rig->parts()->with(wishes: $kept));
        }
        foreach ($open as $key => [$source, $listener]) {
            $was = $before[$key] ?? null;
            $kept[] = new Wish(
                $source,
                $listener,
                $this->want,
                $was?->ownLevel,
                $was->alone ?? false,
                $this->situation === null ? [] : [$this->situation],
                $was?->treatment,
                $was?->side,
                $was->stereo ?? false,
                $this->want === Want::MustNot ? $was?->upToDb : null,
            );
        }

        return new Rig($rig->parts()->with(wishes: $kept));
    }

    /** One pair is named, a whole row or column too; other shapes are counted. */
    public function words(Rig $rig): string
    {
        $sources = array_unique(array_column($this->pairs, 0));
        $listeners = array_unique(array_column($this->pairs, 1));
        $isRow = in_array(count($listeners), [1, count($rig->listeners)], true);
        $isColumn = in_array(count($sources), [1, count($rig->sources)], true);
        if ($isRow && $isColumn && count($this->pairs) === count($sources) * count($listeners)) {
            return (new SetWish(
                count($sources) === 1 ? reset($sources) : null,
                count($listeners) === 1 ? reset($listeners) : null,
                $this->want,
                $this->situation,
            ))->words($rig);
        }
        $want = match ($this->want) {
            Want::Must => 'Must hear', Want::May => 'May hear', Want::MustNot => 'Must not hear', null => 'No wish',
        };

        return "{$want}: ".count($this->pairs).' cells'.($this->situation === null ? '' : " in {$rig->situations[$this->situation]->name}");
    }
}
