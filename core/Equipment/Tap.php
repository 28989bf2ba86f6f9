<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Where a route leaves a point: before everything, after gain and mute, or after the fader as well. */
enum Tap: string
{
    case Input = 'input';
    case PreFader = 'pre-fader';
    case PostFader = 'post-fader';
}
