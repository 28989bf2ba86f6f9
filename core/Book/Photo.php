<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A picture of how something is set. */
final readonly class Photo implements Block
{
    /**
     * @param  int  $width  in pixels
     * @param  int  $height  in pixels
     * @param  \Closure(): string  $jpeg  the picture, read when it is needed; empty where it is gone
     */
    public function __construct(public string $caption, public int $width, public int $height, public \Closure $jpeg)
    {
    }
}
