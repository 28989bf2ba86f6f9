<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;

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
        $pairs = [];
        foreach ($this->source === null ? array_keys($rig->sources) : [$this->source] as $source) {
            foreach ($this->listener === null ? array_keys($rig->listeners) : [$this->listener] as $listener) {
                $pairs[] = [(string) $source, (string) $listener];
            }
        }

        return (new SetWishes($pairs, $this->want, $this->situation))->applyTo($rig);
    }

    public function words(Rig $rig): string
    {
        $source = $this->source === null ? null : $rig->sources[$this->source]->name;
        $listener = $this->listener === null ? null : $rig->listeners[$this->listener]->name;
        $where = $this->situation === null ? '' : " in {$rig->situations[$this->situation]->name}";
        $every = [$source ?? 'Every sound', $listener ?? 'every listener'];
        $any = [$source ?? 'any sound', $listener ?? 'any listener'];

        return match ($this->want) {
            Want::Must => "{$every[0]} must be heard by {$every[1]}{$where}",
            Want::May => "{$every[0]} may be heard by {$every[1]}{$where}",
            Want::MustNot => $source === null
                ? "No sound may be heard by {$any[1]}{$where}"
                : "{$source} must not be heard by {$any[1]}{$where}",
            null => "No wish for {$any[0]} at {$any[1]}{$where}",
        };
    }
}
