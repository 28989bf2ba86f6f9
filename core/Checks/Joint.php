<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\SocketRef;

/** One lane that a cable joins: what gives, what takes, and of which kind the signal really is at both ends. */
final readonly class Joint
{
    /**
     * @param  SignalKind  $gives  what comes out, seen through passive units on the way
     * @param  SignalKind  $takes  what the input is for as it is plugged and set
     * @param  bool  $isPassed  the receiving unit is passive: the actual load is behind it
     */
    public function __construct(
        public Cable $cable,
        public SocketRef $from,
        public Socket $out,
        public Lane $outLane,
        public SocketRef $to,
        public Socket $in,
        public Lane $inLane,
        public SignalKind $gives,
        public SignalKind $takes,
        public bool $isPassed,
    ) {
    }
}
