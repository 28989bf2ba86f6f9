<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Hear;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Loop;
use HiddenWire\Core\Signal\Verdict;

/** A loop by wire or inside a computer, with its gain round: it howls at 0 dB or more, and rings close below. */
final readonly class SoundLoop implements Check
{
    /** Routes that are proposed to be switched off. */
    private const PROPOSED = 4;

    public function code(): string
    {
        return 'hear.loop';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($hearing->loops() as $loop) {
                if ($loop->isAudible() && ! self::isThroughAir($loop)) {
                    yield new Finding(
                        $this->code(),
                        $loop->howls() ? Severity::Fault : Severity::Risk,
                        'Sound goes round through '.self::through($in, $loop).": {$loop->gain->text()} dB a round"
                            .($loop->isBound ? ' at most' : '').', '.($loop->howls() ? 'it howls' : 'it rings'),
                        self::why($in, $loop),
                        self::elements($loop),
                        [$situation],
                        $this->proposals($in, $loop, $situation),
                        cells: self::cells($hearing, $situation),
                    );
                }
            }
        }
    }

    /** @return list<string> keys of the cells that run round */
    public static function cells(Hearing $hearing, string $situation): array
    {
        $cells = [];
        foreach ($hearing->all() as $pair) {
            if ($pair->verdict === Verdict::Loop) {
                $cells[] = Cell::of($pair, $situation)->key();
            }
        }

        return $cells;
    }

    /** What a round does to a sound, and how much louder it may become. */
    public static function why(Inspection $in, Loop $loop): string
    {
        $where = Listing::of(array_map($in->names->of(...), $loop->cut));

        return $loop->howls()
            ? "Whatever enters grows louder each time it comes round. Take one step out of the circle: {$where} opens all of it."
            : "Whatever enters comes back a little quieter each time and colours all that is heard. {$loop->margin()?->text()} dB more at "
                ."{$where}, and it howls.";
    }

    public static function isThroughAir(Loop $loop): bool
    {
        return array_filter($loop->hops, fn (Hop $hop) => $hop->kind === HopKind::Air) !== [];
    }

    /** "Desk mixer, W-07 and Call program": the units and cables of a round, each once. */
    private static function through(Inspection $in, Loop $loop): string
    {
        $names = [];
        foreach ($loop->hops as $hop) {
            if ($hop->kind === HopKind::Cable) {
                $names[] = $hop->label;
            } elseif (! $hop->at instanceof AirRef && isset($hop->at->unit)) {
                $names[] = $in->rig->units[$hop->at->unit]->name;
            }
        }

        return Listing::of(array_unique($names));
    }

    /** @return list<mixed> what a round is made of, each once */
    private static function elements(Loop $loop): array
    {
        $elements = [];
        foreach ($loop->hops as $hop) {
            if (! $hop->at instanceof AirRef) {
                $elements[$hop->ref] = $hop->at;
            }
        }

        return array_values($elements);
    }

    /** @return list<Proposal> */
    private function proposals(Inspection $in, Loop $loop, string $situation): array
    {
        $proposals = [];
        foreach ($loop->hops as $hop) {
            $at = $in->switchAt($hop);
            if ($at !== null) {
                $proposals[] = new Proposal(
                    "Switch {$in->names->route($at)} of {$in->rig->units[$at->unit]->name} off",
                    [new SetRoute($at, new RouteSettings(on: false), $in->override($situation))],
                    Cost::SWITCH,
                );
            }
        }

        return array_slice($proposals, 0, self::PROPOSED);
    }
}
