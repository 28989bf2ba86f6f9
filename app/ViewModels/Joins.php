<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;

/** One socket against all others: which can take the other end of a cable from it, and why the rest can't. */
final readonly class Joins
{
    /** @var array<string, string> what the free sockets that fit are called, by reference */
    public array $fits;

    /** @var array<string, string> what those are called that fit but have a cable in them, with its label, by reference */
    public array $taken;

    /** @var array<string, string> why each other socket does not fit, by reference */
    public array $obstacles;

    public function __construct(private Rig $rig, Wiring $wiring, public SocketRef $here)
    {
        $fits = $taken = $obstacles = [];
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->sockets as $socket) {
                $there = new SocketRef($unit->id, $socket->id);
                if ((string) $there === (string) $here) {
                    continue;
                }
                $obstacle = $unit->id === $here->unit ? 'it is on the same unit' : Mating::obstacle($rig->socket($here), $socket);
                if ($obstacle !== null) {
                    $obstacles[(string) $there] = $obstacle;
                } elseif ($wiring->at($there) === []) {
                    $fits[(string) $there] = $this->name($there);
                } else {
                    $taken[(string) $there] = $this->name($there).' has '.implode(
                        ' and ',
                        array_map(fn ($cable) => $cable->label, $wiring->at($there)),
                    ).' in it';
                }
            }
        }
        $this->fits = $fits;
        $this->taken = $taken;
        $this->obstacles = $obstacles;
    }

    /** How a socket relates to this one: `here`, `fits`, `taken`, `blocked`. */
    public function stands(string $ref): string
    {
        return match (true) {
            $ref === (string) $this->here => 'here',
            isset($this->fits[$ref]) => 'fits',
            isset($this->taken[$ref]) => 'taken',
            default => 'blocked',
        };
    }

    /** That in words. */
    public function says(string $ref): string
    {
        return match ($this->stands($ref)) {
            'here' => 'from here',
            'fits' => 'fits the other end',
            'taken' => $this->taken[$ref],
            default => $this->obstacles[$ref] ?? 'this is no socket',
        };
    }

    public function name(SocketRef $at): string
    {
        return "{$this->rig->socket($at)->label} of {$this->rig->units[$at->unit]->name}";
    }
}
