<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Side;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/**
 * Says of a wish whether its level has to be adjustable apart from other listeners, whether the sound has to be alone there, and whether it
 * has to be dry or processed, on one side only, or in stereo; of what must not be heard, how loud it may be.
 */
final readonly class MarkWish implements RigEdit
{
    public function __construct(
        public string $source,
        public string $listener,
        public ?Apart $ownLevel,
        public bool $alone,
        public ?Treatment $treatment = null,
        public ?Side $side = null,
        public bool $stereo = false,
        public ?Decibels $upToDb = null,
    ) {
    }

    /** @throws InvalidRig when nothing is wished for the pair yet */
    public function applyTo(Rig $rig): Rig
    {
        $isSet = false;
        $wishes = array_map(function (Wish $wish) use (&$isSet): Wish {
            if ($wish->source !== $this->source || $wish->listener !== $this->listener) {
                return $wish;
            }
            $isSet = true;

            return $wish->with(
                ownLevel: $this->ownLevel,
                alone: $this->alone,
                treatment: $this->treatment,
                side: $this->side,
                stereo: $this->stereo,
                upToDb: $wish->want === Want::MustNot ? $this->upToDb : null,
            );
        }, $rig->wishes);

        return $isSet ? new Rig($rig->parts()->with(wishes: $wishes))
            : throw new InvalidRig([new Problem(
                '/wishes',
                "Say first whether {$rig->sources[$this->source]->name} must or may be heard by {$rig->listeners[$this->listener]->name}.",
            )]);
    }

    public function words(Rig $rig): string
    {
        $says = (new Wish(
            $this->source,
            $this->listener,
            Want::May,
            $this->ownLevel,
            $this->alone,
            [],
            $this->treatment,
            $this->side,
            $this->stereo,
            $this->upToDb,
        ))->marks();

        return "{$rig->sources[$this->source]->name} at {$rig->listeners[$this->listener]->name}: "
            .(implode(', ', $says) ?: 'at any level, with others');
    }
}
