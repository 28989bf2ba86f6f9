<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\DialKind;

/** The state of a point's switch, and what pressing it does. */
final readonly class Key
{
    private const DOES = [
        'mute' => ['Mute', 'Unmute'],
        'mono' => ['Mono', 'Stereo'],
        'solo' => ['Solo', 'Solo off'],
    ];

    private function __construct(public string $field, public string $does, public bool $isOn, public bool $isMarked)
    {
    }

    public static function of(DialKind $kind, bool $isOn): self
    {
        [$on, $off] = self::DOES[$kind->key()] ?? [ucfirst($kind->name()).' on', ucfirst($kind->name()).' off'];

        return new self($kind->key(), $isOn ? $off : $on, $isOn, $isOn && isset(self::DOES[$kind->key()]));
    }
}
