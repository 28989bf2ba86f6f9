<?php

declare(strict_types=1);

namespace App\ViewModels;

/** Broadcast programs and recorders with their tracks, and what the recordings are good for afterwards. */
final readonly class TracksPage
{
    /** @var list<Tracks> */
    public array $programs;

    /** Null where the rig has no track. */
    public ?Afterwards $afterwards;

    public function __construct(RigPage $page)
    {
        $this->programs = Tracks::all($page);
        $this->afterwards = Afterwards::of($page);
    }
}
