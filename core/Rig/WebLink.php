<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Where more is to be read or fetched: a manual, a driver. */
final readonly class WebLink
{
    /** What an address has to look like; no other scheme is followed from a page. */
    public const PATTERN = '^https?://[^\s"<>]+$';

    public function __construct(public string $label, public string $url)
    {
    }

    public static function isAddress(string $url): bool
    {
        return preg_match('~'.self::PATTERN.'~Du', $url) === 1;
    }
}
