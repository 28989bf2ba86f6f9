<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\State;

/** One point's knobs and switches as they stand. Null: there is none. */
final readonly class Control
{
    public ?bool $mute;

    public ?bool $mono;

    /** @var array{db: int|float, from: int|float, to: int|float}|null */
    public ?array $gain;

    /** @var array{db: int|float, from: int|float, to: int|float}|null */
    public ?array $fader;

    /** @var array{ms: int|float, to: int|float}|null */
    public ?array $delay;

    /** The open point that keeps this one mute by a rule of the unit. */
    public ?string $keptMuteBy;

    public function __construct(public string $unit, public Point $point, State $state)
    {
        $this->mute = $point->mute === null ? null : $state->isMuted($unit, $point);
        $this->keptMuteBy = $point->mute === null ? null : $state->autoMutedBy($unit, $point)?->label;
        $this->mono = $point->mono === null ? null : $state->isMono($unit, $point);
        $this->gain = $point->gain === null
            ? null
            : ['db' => $state->gain($unit, $point)->number(), 'from' => $point->gain->from->number(), 'to' => $point->gain->to->number()];
        $this->fader = $point->fader === null
            ? null
            : [
                'db' => $state->fader($unit, $point)->number(),
                'from' => $point->fader->from->number(),
                'to' => $point->fader->to->number(),
            ];
        $this->delay = $point->delayTo === null
            ? null
            : ['ms' => $state->delay($unit, $point)->number(), 'to' => $point->delayTo->number()];
    }
}
