<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/**
 * Says what is wanted for one pair, a whole row or a whole column. Without a situation it holds in all, and wishes that named one for
 * these pairs go; with a situation it holds there, and what held in all stays for the others.
 */
final readonly class SetWish implements RigEdit
{
    /**
     * @param  string|null  $source  null for every source
     * @param  string|null  $listener  null for every listener
     * @param  Want|null  $want  null takes the wish back
     * @param  string|null  $situation  null for all
     */
    public function __construct(public ?string $source, public ?string $listener, public ?Want $want, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $wishes = $rig->wishes;
        foreach ($this->source === null ? array_keys($rig->sources) : [$this->source] as $source) {
            foreach ($this->listener === null ? array_keys($rig->listeners) : [$this->listener] as $listener) {
                $wishes = $this->set($wishes, (string) $source, (string) $listener);
            }
        }

        return new Rig($rig->parts()->with(wishes: $wishes));
    }

    public function words(Rig $rig): string
    {
        $source = $this->source === null ? 'Every sound' : $rig->sources[$this->source]->name;
        $listener = $this->listener === null ? 'every listener' : $rig->listeners[$this->listener]->name;
        $where = $this->situation === null ? '' : ' in '.$rig->situations[$this->situation]->name;

        return match ($this->want) {
            Want::Must => "{$source} must be heard by {$listener}{$where}",
            Want::May => "{$source} may be heard by {$listener}{$where}",
            Want::MustNot => "{$source} must not be heard by {$listener}{$where}",
            null => "No wish for {$source} at {$listener}{$where}",
        };
    }

    /**
     * @param  list<Wish>  $wishes
     * @return list<Wish>
     */
    private function set(array $wishes, string $source, string $listener): array
    {
        $kept = [];
        $isSet = false;
        foreach ($wishes as $wish) {
            if ($wish->source !== $source || $wish->listener !== $listener) {
                $kept[] = $wish;

                continue;
            }
            if ($this->situation === null) {
                // What else was said of the pair (its own level, alone) stays with it.
                if ($wish->situations === [] && $this->want !== null) {
                    $kept[] = new Wish($source, $listener, $this->want, $wish->ownLevel, $wish->alone);
                    $isSet = true;
                }

                continue;
            }
            $others = array_values(array_diff($wish->situations, [$this->situation]));
            if ($wish->situations === [] || $others !== []) {
                $kept[] = new Wish($source, $listener, $wish->want, $wish->ownLevel, $wish->alone, $others);
            }
        }
        if (! $isSet && $this->want !== null) {
            $kept[] = new Wish($source, $listener, $this->want, situations: $this->situation === null ? [] : [$this->situation]);
        }

        return $kept;
    }
}
