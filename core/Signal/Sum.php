<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** What of one source arrives at one listener, all ways together. */
final readonly class Sum
{
    /** What counts as heard: within this of the source's own level. 60 dB below speech at 65 dB SPL is the threshold of hearing. */
    public const HEARD_DB = 60.0;

    /** So far under nominal level nobody follows speech: 40 dB below 65 dB SPL is under the noise of a quiet room. */
    public const TOO_QUIET_DB = 40.0;

    /** What a microphone without its preamp's gain comes to. */
    public const FAR_TOO_QUIET_DB = 50.0;

    /** A side this much below the other counts as silent: 20 dB is what a listener takes for "only in one ear". */
    public const ONE_SIDED_DB = 20.0;

    /** Decibels are kept in hundredths: a level that rounds to the limit is at it. */
    public const ROUNDING_DB = 0.005;

    /** What the channels of a sound in surround carry, in their order. */
    private const PARTS = [
        'left', 'right', 'the centre', 'the low channel', 'the left surround', 'the right surround', 'the left rear', 'the right rear',
    ];

    /** @var list<Slot> that are heard at all, at any frequency of speech */
    private array $slots;

    /** All copies together in the channel of an ear where they are loudest; null where nothing is heard. */
    public ?Decibels $level;

    /**
     * The same at the frequency of speech where least of it cancels: what somebody must not hear is judged by it. Null where nothing is
     * heard at any.
     */
    public ?Decibels $peak;

    /** Of the strongest copy. */
    public ?Milliseconds $delay;

    public string $sides;

    /** Whether anything arrives that is counted, however quiet. */
    public bool $isReached;

    /**
     * @param  list<Slot>  $slots
     * @param  array<string, int>  $widths  channels of each ear
     * @param  int  $parts  of the source, where it is loudest: 2 for a stereo sound
     * @param  float  $rest  how much more there can be at the most, as an amplitude
     * @param  bool  $runsRound  it passes a loop that howls or rings
     * @param  bool  $meets  ways meet on it, so that it may be worth looking at each
     */
    public function __construct(
        array $slots,
        private array $widths,
        private int $parts,
        public float $rest,
        public bool $runsRound,
        public bool $meets,
    ) {
        $this->isReached = $slots !== [];
        $this->slots = array_values(array_filter($slots, fn (Slot $slot) => $slot->peakDecibels() >= -self::HEARD_DB - self::ROUNDING_DB));
        $loudest = null;
        $peak = -INF;
        $sides = [];
        foreach ($this->slots as $slot) {
            $loudest = $loudest === null || $slot->power > $loudest->power * (1 + 1e-9) ? $slot : $loudest;
            $sides[$slot->ear][$slot->channel] = $slot->channel;
            $peak = max($peak, $slot->peakDecibels());
        }
        $this->level = $loudest === null || $loudest->decibels() < -self::HEARD_DB - self::ROUNDING_DB ? null
            : Decibels::of($loudest->decibels());
        $this->peak = $loudest === null ? null : Decibels::of($peak);
        $this->delay = $loudest?->first === null ? null : Milliseconds::of($loudest->first->delay / 1000);
        $named = [];
        foreach ($sides as $ear => $channels) {
            $named[] = Sides::of(array_values($channels), $widths[$ear]);
        }
        $this->sides = Sides::together($named);
    }

    public static function nothing(): self
    {
        return new self([], [], 1, 0.0, false, false);
    }

    public function isHeard(): bool
    {
        return $this->level !== null;
    }

    /** Whether what was left out could change the answer: make something heard that is not, or a copy audible beside the strongest. */
    public function isUncertain(): bool
    {
        return $this->rest > 0
            && 20 * log10($this->rest) >= ($this->level === null ? -self::HEARD_DB : $this->level->value() - Doubling::ECHO_DB);
    }

    /** Whether it is heard, or may be: what could not be counted is never passed off as silence. */
    public function mayBeHeard(): bool
    {
        return $this->isHeard() || $this->isUncertain();
    }

    /** The most that was left out, relative to the source; null where nothing was, or no bound is known. */
    public function restAtMost(): ?Decibels
    {
        return $this->rest > 0 && is_finite($this->rest) ? Decibels::ofRatio($this->rest) : null;
    }

    /**
     * The most noticeable doubling by the times of arrival: copies of one part in one channel of an ear; left and right that come at
     * different times; and two ears of one listener (a headset and the room's loudspeakers). Copies at one time are one arrival here;
     * whether that is louder than meant the ways must tell.
     */
    public function doubling(): ?Doubling
    {
        $worst = null;
        /** @var array<string, Slot> $mains the loudest slot of each ear */
        $mains = [];
        foreach ($this->slots as $slot) {
            if (! isset($mains[$slot->ear]) || $slot->power > $mains[$slot->ear]->power * (1 + 1e-9)) {
                $mains[$slot->ear] = $slot;
            }
        }
        foreach ($this->slots as $slot) {
            $main = $mains[$slot->ear];
            if ($main->decibels() - $slot->decibels() < Doubling::ECHO_DB) {
                $worst = $this->worse($worst, $this->within($slot));
            }
            if ($slot !== $main) {
                $worst = $this->worse($worst, $this->between($main, $slot, isLegs: true));
            }
        }
        $loudest = null;
        foreach ($mains as $main) {
            $loudest = $loudest === null || $main->power > $loudest->power ? $main : $loudest;
        }
        foreach ($mains as $main) {
            if ($main !== $loudest) {
                $worst = $this->worse($worst, $this->between($loudest, $main, isLegs: false));
            }
        }

        return $worst;
    }

    /** What of it is lost: a side of the ears, or a part of the source. */
    public function loss(): ?Loss
    {
        $sides = $parts = [];
        $middle = $all = 0.0;
        foreach ($this->slots as $slot) {
            if ($this->widths[$slot->ear] === 2) {
                $sides[$slot->channel] = max($sides[$slot->channel] ?? 0.0, $slot->power);
            } else {
                $sides = [0 => INF, 1 => INF];
            }
            $parts[$slot->part] = max($parts[$slot->part] ?? 0.0, $slot->power);
        }
        if ($parts === []) {
            return null;
        }
        foreach ($this->sidesTogether() as [$sum, $apart]) {
            $middle = max($middle, $sum);
            $all = max($all, $apart);
        }

        return match (true) {
            $this->isLost($sides[0] ?? 0.0, $sides[1] ?? 0.0) => Loss::LeftEar,
            $this->isLost($sides[1] ?? 0.0, $sides[0] ?? 0.0) => Loss::RightEar,
            $this->parts === 2 && $this->isLost($parts[0] ?? 0.0, $parts[1] ?? 0.0) => Loss::LeftPart,
            $this->parts === 2 && $this->isLost($parts[1] ?? 0.0, $parts[0] ?? 0.0) => Loss::RightPart,
            $this->parts === 2 && $this->isLost($middle, $all) => Loss::Middle,
            $this->lostParts() !== [] => Loss::Parts,
            default => null,
        };
    }

    /** @return list<int> channels of a sound with more than two that do not arrive, from 0 */
    public function lostParts(): array
    {
        if ($this->parts <= 2) {
            return [];
        }
        $powers = array_fill(0, $this->parts, 0.0);
        foreach ($this->slots as $slot) {
            $powers[$slot->part] = max($powers[$slot->part] ?? 0.0, $slot->power);
        }
        $most = max($powers);

        return array_keys(array_filter($powers, fn (float $power) => $this->isLost($power, $most)));
    }

    /** @return list<string> what those channels carry: "the centre"; of other sounds than in surround "channel 3" */
    public function namesOfLostParts(): array
    {
        $isSurround = in_array($this->parts, [6, count(self::PARTS)], true);

        return array_map(fn (int $part) => $isSurround ? self::PARTS[$part] : 'channel '.($part + 1), $this->lostParts());
    }

    /** Whether left and right of a stereo sound arrive as one: their difference is 20 dB or more below what they have in common. */
    public function isMono(): bool
    {
        $difference = $all = 0.0;
        foreach ($this->parts === 2 ? $this->sidesTogether(-1) : [] as [$sum, $apart]) {
            $difference = max($difference, $sum);
            $all = max($all, $apart);
        }

        return $this->isLost($difference, $all);
    }

    private function isLost(float $power, float $beside): bool
    {
        return $beside > 0 && is_finite($beside) && ($power === 0.0 || 10 * log10($beside / $power) > self::ONE_SIDED_DB);
    }

    /**
     * By channel of an ear: the power of what left and right have in common, and of both taken apart.
     *
     * @param  1|-1  $sign  -1 for what they differ in
     * @return list<array{float, float}>
     */
    private function sidesTogether(int $sign = 1): array
    {
        $channels = [];
        foreach ($this->slots as $slot) {
            $channels["{$slot->ear} {$slot->channel}"][] = $slot;
        }

        return array_values(array_map(function (array $slots) use ($sign): array {
            $taps = [];
            $apart = 0.0;
            foreach ($slots as $slot) {
                $apart += $slot->power;
                foreach ($slot->copies as $copy) {
                    $key = $copy->delay + ($copy->clocks << ChannelGraph::CLOCKS_AT);
                    $taps[$key] = ($taps[$key] ?? 0.0) + $copy->amplitude * ($slot->part === 0 ? 1 : $sign);
                }
            }

            return [Slot::of('', 0, 0, $taps)->power, $apart];
        }, $channels));
    }

    /** What arrives in one slot in addition to the strongest copy: near it, and late. */
    private function within(Slot $slot): ?Doubling
    {
        $worst = null;
        foreach ([false, true] as $late) {
            $power = 0.0;
            $next = null;
            foreach ($slot->copies as $copy) {
                if ($copy === $slot->first || $slot->first === null
                    || (abs($copy->delay - $slot->first->delay) > Doubling::ECHO_MS * 1000) !== $late) {
                    continue;
                }
                $power += $copy->amplitude ** 2;
                $next = $next === null || abs($copy->amplitude) > abs($next->amplitude) ? $copy : $next;
            }
            if ($next === null || $slot->first === null) {
                continue;
            }
            $difference = 20 * log10(abs($slot->first->amplitude)) - 10 * log10($power);
            $worst = $this->worse($worst, $this->doublingOf($slot->first, $next, $difference, false));
        }

        return $worst;
    }

    private function between(Slot $main, Slot $other, bool $isLegs): ?Doubling
    {
        if ($main->first === null || $other->first === null
            || ($isLegs && abs($main->first->delay - $other->first->delay) < Doubling::ADDS_MS * 1000)) {
            return null;
        }

        return $this->doublingOf($main->first, $other->first, 20 * log10(abs($main->first->amplitude / $other->first->amplitude)), $isLegs);
    }

    private function doublingOf(Copy $first, Copy $second, float $difference, bool $isLegs): ?Doubling
    {
        $apart = Milliseconds::of(abs($first->delay - $second->delay) / 1000);
        $isTurned = $first->amplitude * $second->amplitude < 0;
        $doubling = new Doubling(Decibels::of($difference), $apart, $first->clocks === $second->clocks, $isLegs, $isTurned);

        return $doubling->difference->value() < Doubling::countsWithin($apart) ? $doubling : null;
    }

    private function worse(?Doubling $one, ?Doubling $other): ?Doubling
    {
        if ($one === null || $other === null) {
            return $one ?? $other;
        }
        $isThin = [$one->kind() === DoublingKind::Thin, $other->kind() === DoublingKind::Thin];

        return match (true) {
            $isThin[0] !== $isThin[1] => $isThin[0] ? $other : $one,
            default => $other->difference->isBelow($one->difference) ? $other : $one,
        };
    }
}
