<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\FoundCauses;
use HiddenWire\Core\Checks\Hear\NoOwnLevel;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Reach;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\Ducking;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Lowering;
use HiddenWire\Core\Signal\Reliance;
use HiddenWire\Core\Signal\Verdict;

/**
 * One sound to one listener, for reading: what it comes to, each way step by step, or how far it gets; and what is the matter, once that
 * is known.
 */
final readonly class WayStrip
{
    /** @var list<list<WayStep>> */
    public array $ways;

    /** How far a sound gets that is not heard. */
    public ?Reach $reach;

    /** @var array<int, Cause> what explains it, by its place among all causes; empty as long as nobody has looked */
    public array $causes;

    /** The level nearest to the listener that moves only what was wished to be apart, by name; null where there is none. */
    public ?string $ownLevel;

    /** @var list<string> what lowers it, by whose sound: "12 dB lower while Voice speaks" */
    public array $lowered;

    /** @var list<string> what it hangs on that nobody has proven, or that is known not to work, in words */
    public array $doubts;

    public function __construct(public HeardPair $pair, Hearing $hearing, ?FoundCauses $found)
    {
        $this->ways = array_map(fn (Arrival $arrival) => self::steps($arrival, $hearing->rig), $pair->arrivals());
        $this->reach = $pair->verdict === Verdict::Missing && $this->ways === [] ? Reach::of($pair, $hearing) : null;
        $this->doubts = array_map(
            fn (Fact $fact) => $fact->subject($hearing->rig).': '.lcfirst($fact->words()),
            Reliance::of($hearing)->behind($pair),
        );
        $this->lowered = array_map(fn (Lowering $one) => $one->words(), (new Ducking($hearing->graph()))->of($pair));
        $own = NoOwnLevel::own($hearing->rig, $hearing->field(), $pair);
        $this->ownLevel = $own === null ? null : (new Names($hearing->rig))->of($own);
        $this->causes = $found?->ofCell(Cell::of($pair, $hearing->situation->id)) ?? [];
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

        return implode(', ', array_filter([$want, ...($wish?->marks() ?? [])]));
    }

    /** What is the matter, as short as a line of a telephone takes: "left side only". */
    public static function short(HeardPair $pair): string
    {
        return match ($pair->verdict) {
            Verdict::Missing => $pair->cancelling() === null ? 'missing' : 'cancelled',
            Verdict::Leak => 'must not be heard',
            Verdict::Doubled => 'arrives twice',
            Verdict::NotAlone => 'not alone',
            Verdict::Loop => 'in a loop',
            Verdict::OneSided => str_replace(['is heard on the ', 'is heard '], '', $pair->lossWords() ?? 'on the wrong side'),
            Verdict::TooQuiet => ($pair->isFarTooQuiet() ? 'far ' : '').'too quiet',
            default => str_replace('-', ' ', $pair->verdict->value),
        };
    }

    /** Whether mark and level say the wish already: heard where it must be, silent where it must not, with nothing more wished of it. */
    public static function isPlain(HeardPair $pair): bool
    {
        return $pair->verdict === Verdict::Ok && $pair->wish !== null && $pair->wish->marks() === []
            && $pair->wish->want !== Want::May && $pair->isHeard() === ($pair->wish->want === Want::Must);
    }

    /** What is the matter with a level, as short as a cell takes: "far too quiet"; empty where nothing is. */
    public static function levelTrouble(HeardPair $pair): string
    {
        return match ($pair->verdict) {
            Verdict::TooQuiet => $pair->isFarTooQuiet() ? 'far too quiet' : 'too quiet',
            Verdict::Overloads => 'overloads'.($pair->overload === null ? '' : ' by '.number_format($pair->overload->overDb, 1).' dB'),
            default => '',
        };
    }

    public static function say(HeardPair $pair): string
    {
        return match ($pair->verdict) {
            Verdict::Ok => match (true) {
                ! $pair->isHeard() => 'is not heard, as wished',
                $pair->isSpill() => "is heard at {$pair->level()?->text()} dB, which is fine ".($pair->wish?->upToDb === null
                    ? 'for spill, up to '.Decibels::of(-Hearing::SPILL_DB)->text() : "up to {$pair->wish->upToDb->text()}").' dB',
                default => 'is heard as wished'.self::legs($pair).($pair->sum->isMono() ? '; mono, was stereo' : ''),
            },
            Verdict::Missing => $pair->cancelling() === null ? 'is not heard' : 'is cancelled: two copies with opposite polarity',
            Verdict::Leak => 'is heard'.self::times($pair).', but must not be',
            Verdict::Doubled => 'arrives'.self::times($pair).', '.$pair->doubling?->text(),
            Verdict::Thin => 'arrives twice, '.$pair->doubling?->text(),
            Verdict::NotAlone => 'is not alone: '.Listing::of(array_map(fn (Source $one) => $one->name, $pair->beside))
                .(count($pair->beside) === 1 ? ' is' : ' are').' heard with it',
            Verdict::Loop => 'runs through a feedback loop',
            Verdict::Treated => $pair->effects() === []
                ? 'arrives dry, and should be processed'
                : 'arrives through '.implode(', ', $pair->effects()).', and should be dry',
            Verdict::OneSided => $pair->lossWords()
                ?? 'is heard on '.($pair->channels() === 'both' ? 'both sides' : "the {$pair->channels()} side")
                    .', and should be on the '.($pair->wish->side->value ?? 'other').' only',
            Verdict::TooQuiet => 'arrives '.($pair->isFarTooQuiet() ? 'far ' : '')."too quiet: {$pair->level()?->text()} dB",
            Verdict::Overloads => 'overloads'.($pair->overload === null ? ''
                : " {$pair->overload->hop->label} by ".number_format($pair->overload->overDb, 1).' dB'),
            Verdict::Unwished => 'is heard'.self::times($pair).'; no wish is set',
            Verdict::Silent => 'is not heard; no wish is set',
            Verdict::Uncounted => 'has too many signal paths to count'
                .($pair->sum->restAtMost() === null ? '' : "; what was left out is at most {$pair->sum->restAtMost()->text()} dB"),
        };
    }

    /** " twice"; empty for once. */
    private static function times(HeardPair $pair): string
    {
        $count = count($pair->arrivals());

        return match (true) {
            $count <= 1 => $pair->isCapped() ? ' by many ways' : '',
            $count === 2 && ! $pair->isCapped() => ' twice',
            default => ($pair->isCapped() ? ' more than ' : ' ')."{$count} times",
        };
    }

    /** ", by W-31 and W-32", where left and right come by two leads. */
    private static function legs(HeardPair $pair): string
    {
        return $pair->legs() === [] ? '' : ', by '.implode(' and ', $pair->legs());
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

    /** The unit inside which a hop is; empty for what is between units. */
    private static function unitOf(Hop $hop): string
    {
        return match ($hop->kind) {
            HopKind::Origin,
            HopKind::Gain,
            HopKind::Fader,
            HopKind::Route => $hop->at instanceof PointRef || $hop->at instanceof RouteRef ? $hop->at->unit : '',
            default => '',
        };
    }
}
