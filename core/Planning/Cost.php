<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

/**
 * What a change costs a technician: a switch is quick, a pick is a dialog, a default touches other programs too, a cable has to be found
 * and run.
 */
final class Cost
{
    public const SWITCH = 1000;

    /** Another choice of a selector, only to be rid of something. */
    public const OTHER_SELECTION = 45;

    public const FADER = 1020;

    public const ENABLE = 1050;

    /** A page of the operating system. */
    public const SYSTEM = 1045;

    /** A rule of a unit, put out of force. */
    public const RULE = 1040;

    /** A program's pick in use, for another device; by its channels too. */
    public const PICK = 1100;

    /** A program's in or out that has not been used. */
    public const FIRST_PICK = 1200;

    public const CHANNELS = 10;

    public const TAP = 40;

    public const ANY_OTHER = 180;

    public const NO_PICK = 1250;

    public const DEFAULT = 1400;

    /** An existing lead, pulled and plugged in again: seconds, and no program is touched. */
    public const PLUG_AGAIN = 1080;

    /**
     * A lead that is plainly missing or wrong: a program wants a device that is not there, an adapter leads nowhere, a plug does not carry
     * what its sockets do.
     */
    public const PLAIN = 950;

    public const PLUG = 2800;

    /** A plug that fits, but is meant for another kind of signal: headphones in a line output. */
    public const OTHER_SIGNAL = 150;

    public const REPLUG = 3000;

    public const UNPLUG = 3100;

    public const EXCHANGE = 3600;

    /** Names that are alike belong together: "Chimes" and "Chimes in". */
    public const ALIKE = -30;

    /** What was so before, in the history or in another situation, is cheaper. */
    public const KNOWN = -90;

    /** Made for one situation only though the base has it. */
    public const ONE_SITUATION = 60;
}
