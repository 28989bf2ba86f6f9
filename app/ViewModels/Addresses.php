<?php

declare(strict_types=1);

namespace App\ViewModels;

/** The addresses of a rig's views, without the host, each made once: a page has hundreds of links, to two dozen views. */
final class Addresses
{
    /** @var array<string, string> by view */
    private array $known = [];

    public function __construct(private readonly int $rig)
    {
    }

    public function of(string $view): string
    {
        return $this->known[$view] ??= route("rigs.{$view}", $this->rig, false);
    }
}
