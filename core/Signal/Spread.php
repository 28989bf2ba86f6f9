<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What arrives where of one channel of an origin. */
final class Spread
{
    /** @var array<int, array<int, float>> by channel of the graph: signed amplitude by key (see {@see ChannelGraph}) */
    public array $taps = [];

    /** @var array<int, float> by channel: how much more there can be at the most, as an amplitude, of what was not counted */
    public array $rest = [];

    /** @var array<int, true> channels that more than one edge feeds: there copies may cancel */
    public array $sums = [];

    /** @var array<int, true> channels where ways by different links meet, and all behind them */
    public array $meets = [];

    /** @var array<int, array<int, true>> by channel: numbers of the strongly connected parts that the sound has run through */
    public array $parts = [];
}
