<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;

/** A change that may mend something, and what would have been the matter then. Not tried yet. */
final readonly class Candidate
{
    /**
     * @param  string  $key  the same for the same change, however it was come upon
     * @param  string|\Closure(): string  $cause  what is the matter: "Desk mixer · Mic 1 is muted"; of most nobody ever asks
     * @param  string|\Closure(): string  $cure  what to do: "Unmute Mic 1 of Desk mixer"
     * @param  list<RigEdit>  $edits
     * @param  int  $cost  what it costs a technician, see {@see Cost}
     * @param  list<PointRef|RouteRef|SocketRef|CableRef|DeviceRef|UnitRef>  $about
     */
    public function __construct(
        public string $key,
        private string|\Closure $cause,
        private string|\Closure $cure,
        public array $edits,
        public int $cost,
        public array $about,
    ) {
    }

    public function cause(): string
    {
        return is_string($this->cause) ? $this->cause : ($this->cause)();
    }

    public function cure(): string
    {
        return is_string($this->cure) ? $this->cure : ($this->cure)();
    }

    /** Both changes together. */
    public function with(self $other): self
    {
        return new self(
            "{$this->key} + {$other->key}",
            // What begins with a name keeps its capital.
            fn () => "{$this->cause()}, and ".preg_replace_callback(
                '/^(Nothing|The) /',
                fn (array $word) => lcfirst($word[0]),
                $other->cause(),
            ),
            fn () => "{$this->cure()}, and ".self::further($other->cure()),
            [...$this->edits, ...$other->edits],
            $this->cost + $other->cost,
            [...$this->about, ...$other->about],
        );
    }

    /** A cure behind another one: "unmute Mic 1 of Desk mixer", but "Recorder: take Track 1 from …". */
    private static function further(string $cure): string
    {
        return preg_match('/^[^:"]+: (play|take|no device)/', $cure) === 1 ? $cure : lcfirst($cure);
    }
}
