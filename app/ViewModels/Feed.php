<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\Scale;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Source;

/** One way into an output, as it is set: from which point, how strongly, from where on it, and which sounds that brings. */
final readonly class Feed
{
    public bool $canSwitch;

    public bool $canLevel;

    public bool $canTap;

    /**
     * @param  Decibels  $sent  what its level and a fader before it add
     * @param  bool  $isMuted  what it comes from is muted before it is taken
     * @param  string  $from  what it comes from, with the effects that it passes: "Microphone through gate, compressor"
     * @param  list<Source>  $sources
     * @param  string  $by  what has it stand so, where that is no hand: "as in Main", "soloed", "Hall off"; empty otherwise
     * @param  list<string>  $movesWith  routes whose levels move with it
     * @param  bool  $isIdle  nothing is plugged into what it comes from
     * @param  list<string>  $instead  labels of the others of its exclusive group: of these one is on
     */
    public function __construct(
        public string $key,
        public string $from,
        public Route $now,
        public array $sources,
        public array $instead,
        public Decibels $sent,
        public bool $isMuted = false,
        public string $by = '',
        public array $movesWith = [],
        public bool $isIdle = false,
    ) {
        $this->canSwitch = $now->allows(RouteSetting::On);
        $this->canLevel = $now->allows(RouteSetting::Db);
        $this->canTap = $now->allows(RouteSetting::Tap);
    }

    /** Whether the fader of what it comes from moves it. */
    public function isLinked(): bool
    {
        return $this->now->tap === Tap::PostFader;
    }

    public function tapWords(): string
    {
        return $this->now->tap->words();
    }

    /** Its own level as a knob, with what is printed at it; null where nobody can set it. */
    public function knob(): ?Knob
    {
        $range = $this->now->level;

        return ! $this->canLevel ? null : new Knob(
            'db',
            'level',
            $this->now->db->number(),
            new Scale($range?->from->number() ?? -Bounds::DB, $range?->to->number() ?? Bounds::DB, 'dB', 0.5),
            $range?->scale,
        );
    }

    public function sounds(): SoundsIn
    {
        return new SoundsIn($this->from, $this->sources);
    }

    public function levelWords(): string
    {
        return $this->now->db->number() === 0 ? '' : $this->now->db->text().' dB';
    }
}
