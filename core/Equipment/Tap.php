<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Where a route leaves a point: before everything, after gain but whether it is muted or not, after gain and mute, or after the fader. */
enum Tap: string
{
    case Input = 'input';
    case BeforeMute = 'before-mute';
    case PreFader = 'pre-fader';
    case PostFader = 'post-fader';

    public function words(): string
    {
        return match ($this) {
            self::Input => 'from the input', self::BeforeMute => 'before the mute',
            self::PreFader => 'pre-fader', self::PostFader => 'post-fader',
        };
    }
}
