<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/** Stored sound, of which any part can be read. */
interface Recording
{
    public function format(): WavFormat;

    /** Samples a channel that are really there. */
    public function frames(): int;

    /** @return iterable<string> the bytes of some frames, cut anywhere */
    public function bytes(int $from, int $frames): iterable;
}
