<?php

declare(strict_types=1);

namespace App\Limits;

use HiddenWire\Core\Quantity\Count;

/** What an account or a crew has of something, and may have. */
final readonly class Limit
{
    /** From here on it is shown, in hundredths. */
    private const NEAR = 90;

    /**
     * @param  string  $thing  one of them: "rig"
     * @param  int|null  $most  null for no limit
     * @param  string  $remedy  what makes room, as a sentence
     * @param  string|null  $things  several of them; null for one with an s
     * @param  string|null  $crew  the crew that has them; null where it is the account of whoever reads it
     */
    public function __construct(
        public string $thing,
        public int $used,
        public ?int $most,
        private string $remedy,
        private ?string $things = null,
        private ?string $crew = null,
    ) {
    }

    /** Whether there is room for one more, or for so many. */
    public function has(int $more = 1): bool
    {
        return $this->most === null || $this->used + $more <= $this->most;
    }

    public function isNear(): bool
    {
        return $this->most !== null && 100 * $this->used >= self::NEAR * $this->most;
    }

    /** "455 of 500 rigs", "12 rigs" */
    public function words(): string
    {
        return ($this->most === null ? '' : "{$this->used} of ").Count::of($this->most ?? $this->used, $this->thing, $this->things);
    }

    /** For somebody who comes near it: "You have 455 of 500 rigs. Delete rigs that are not needed." */
    public function warning(): string
    {
        return "{$this->whoHas()} {$this->words()}. {$this->remedy}";
    }

    /** For somebody who is past it. */
    public function refusal(): string
    {
        $whose = $this->crew === null ? 'account' : 'crew';

        return "{$this->whoHas()} {$this->words()}, and no more are kept for one {$whose}. {$this->remedy}";
    }

    private function whoHas(): string
    {
        return $this->crew === null ? 'You have' : "The crew {$this->crew} has";
    }
}
