<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;

/** Joins two sockets with the cable that fits them, labelled with the next number of the series W-01, W-02, … */
final readonly class Plug implements RigEdit
{
    /** @param  string|null  $label  null for the next of the series */
    public function __construct(public SocketRef $from, public SocketRef $to, public ?string $label = null)
    {
    }

    /** @throws InvalidRig when no cable fits, or a socket is taken */
    public function applyTo(Rig $rig): Rig
    {
        self::mustBeFree($rig, $this->from);
        self::mustBeFree($rig, $this->to);
        $obstacle = Mating::obstacle($rig->socket($this->from), $rig->socket($this->to));
        if ($obstacle !== null) {
            throw new InvalidRig([new Problem('/cables', ucfirst($obstacle).'.')]);
        }
        $number = $this->next($rig);

        return new Rig($rig->parts()->with(cables: [
            ...array_values($rig->cables),
            new Cable(Naming::id($number, array_keys($rig->cables)), $number, $this->type($rig), $this->from, $this->to),
        ]));
    }

    public function words(Rig $rig): string
    {
        return "{$this->next($rig)}: {$rig->socket($this->from)->label} of {$rig->units[$this->from->unit]->name} to "
            ."{$rig->socket($this->to)->label} of {$rig->units[$this->to->unit]->name}";
    }

    private function type(Rig $rig): CableType
    {
        return Mating::cable($rig->socket($this->from), $rig->socket($this->to)) ?? CableType::Captive;
    }

    private function next(Rig $rig): string
    {
        return $this->label ?? self::nextLabel($rig);
    }

    /** The label of the series that no cable has had yet. */
    public static function nextLabel(Rig $rig): string
    {
        $highest = 0;
        foreach ($rig->cables as $cable) {
            foreach ([$cable->label, $cable->id] as $name) {
                $highest = max($highest, preg_match('/^w-(\d{1,6})$/i', $name, $found) === 1 ? (int) $found[1] : 0);
            }
        }

        return self::label($highest + 1);
    }

    /** The label of a number in the series. */
    public static function label(int $number): string
    {
        return sprintf('W-%02d', $number);
    }

    /**
     * @param  string|null  $except  a cable that may be in it
     *
     * @throws InvalidRig when another cable is in the socket
     */
    public static function mustBeFree(Rig $rig, SocketRef $at, ?string $except = null): void
    {
        foreach ($rig->cables as $cable) {
            if ($cable->id !== $except && in_array((string) $at, [(string) $cable->from, (string) $cable->to], true)) {
                throw new InvalidRig([new Problem(
                    '/cables',
                    "{$rig->socket($at)->label} of {$rig->units[$at->unit]->name} has {$cable->label} in it.",
                )]);
            }
        }
    }
}
