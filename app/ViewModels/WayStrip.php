<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\BreakFinder;
use HiddenWire\Core\Signal\Cut;
use HiddenWire\Core\Signal\CutFinder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\NearestBreak;
use HiddenWire\Core\Signal\Verdict;

/** One sound to one listener, for reading: what it comes to, each way step by step, or the gap. */
final readonly class WayStrip
{
    /** @var list<list<WayStep>> */
    public array $ways;

    public ?NearestBreak $break;

    /** What stops a leak, or a doubled sound's second arrival, and nothing that is wanted. */
    public ?Cut $cut;

    public function __construct(public HeardPair $pair, Hearing $hearing)
    {
        $this->ways = array_map(fn (Arrival $arrival) => self::steps($arrival, $hearing->graph->rig), $pair->arrivals);
        $this->cut = in_array($pair->verdict, [Verdict::Leak, Verdict::Doubled], true) ? (new CutFinder($hearing))->of($pair) : null;
        $this->break = $pair->verdict === Verdict::Missing ? (new BreakFinder($hearing->graph))->between($pair->source, $pair->listener) : null;
    }

    /** In words: what the verdict means for this pair. */
    public function sentence(): string
    {
        return self::say($this->pair);
    }

    /** What is wished for a pair, as short as a cell takes. */
    public static function wished(?Wish $wish): string
    {
        $want = match ($wish?->want) {
            Want::Must => 'must hear', Want::May => 'may hear', Want::MustNot => 'must not', null => '',
        };

        return implode(', ', array_filter([$want, $wish?->ownLevel === true ? 'own level' : '', $wish?->alone === true ? 'alone' : '']));
    }

    public static function say(HeardPair $pair): string
    {
        $count = count($pair->arrivals);
        $times = match ($count) {
            1 => 'once', 2 => 'twice', default => ($pair->isCapped ? 'more than ' : '').$count.' times',
        };

        return match ($pair->verdict) {
            Verdict::Ok => $count === 0 ? 'is not heard, as wished' : 'is heard as wished',
            Verdict::Missing => 'does not arrive',
            Verdict::Leak => "arrives {$times} and must not",
            Verdict::Doubled => "arrives {$times}, ".$pair->doubling?->text(),
            Verdict::Loop => 'runs in a circle on its way',
            Verdict::OneSided => "arrives on the {$pair->channels()} side only",
            Verdict::Unwished => "arrives {$times}; nothing was wished for it",
            Verdict::Silent => 'is not heard; nothing was wished for it',
        };
    }

    /** @return list<WayStep> */
    private static function steps(Arrival $arrival, Rig $rig): array
    {
        $groups = [];
        foreach ($arrival->hops as $hop) {
            $unit = self::unitOf($hop);
            $last = count($groups) - 1;
            if ($unit !== '' && $last >= 0 && $groups[$last][0] === $unit) {
                $groups[$last][1][] = $hop;
            } else {
                $groups[] = [$unit, [$hop]];
            }
        }

        return array_map(fn (array $group) => WayStep::of($group[1], $group[0] === '' ? '' : $rig->units[$group[0]]->name), $groups);
    }

    /** The unit inside which a hop is; empty for what lies between units. */
    private static function unitOf(Hop $hop): string
    {
        return match ($hop->kind) {
            HopKind::Origin, HopKind::Gain, HopKind::Fader, HopKind::Route => (string) strstr($hop->ref, '/', true),
            default => '',
        };
    }
}
