<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Spill;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/** Who hears what in one situation: an answer for every source and listener, from the sum at the ear. The ways explain it. */
final class Hearing
{
    /** What judging a pair costs beside its taps. */
    private const JUDGING = 40;

    /**
     * Spill of one voice into another's microphone that nobody minds: 20 dB down it colours the sum by less than 1 dB (see
     * {@see Doubling::RIPPLE_DB}).
     */
    public const SPILL_DB = 20.0;

    /** A response is reported down to this level, relative to the source. */
    private const RESPONSE_DB = -80.0;

    /** @var list<Loop>|null */
    private ?array $loops = null;

    public readonly Rig $rig;

    public readonly Situation $situation;

    private ?SoundField $field = null;

    private ?WayFinder $wayFinder = null;

    /** Taps moved, and what judging came to. */
    private int $work = 0;

    /** @var array<array-key, array<array-key, HeardPair>> those to whom anything comes, by source, by listener */
    private array $pairs = [];

    /** @var array<array-key, true> sources that reach nothing that is not as it was, by id */
    private array $asBefore = [];

    /** @var array<array-key, array<array-key, HeardPair>> those to whom nothing comes, once asked for */
    private array $silent = [];

    /** @var array<string, array<string, Wish>> by source, by listener */
    private readonly array $wishes;

    /** @var \Closure(HeardPair): Ways */
    private readonly \Closure $find;

    private readonly Sum $nothing;

    private ?Headroom $headroom = null;

    /** @var array{string, bool}|null the source that was last looked at for being too loud anywhere */
    private ?array $loud = null;

    /**
     * @param  list<string>|null  $sources  only these; null for all
     * @param  self|null  $before  of the graph that this one was made like: what nothing has changed about is taken over
     * @param  KeptHearing|null  $kept  of the same rig in the same situation: nothing is heard again, and the graph made when asked for
     * @param  Effort|null  $effort  more patience than a page has; a field of its own is made with it
     */
    public function __construct(
        private SignalGraph|UnbuiltGraph $graph,
        ?array $sources = null,
        ?self $before = null,
        ?KeptHearing $kept = null,
        ?Effort $effort = null,
    ) {
        $this->rig = $graph->rig;
        $this->situation = $graph instanceof UnbuiltGraph ? $graph->situation : $graph->state->situation;
        $this->find = $this->waysOf(...);
        $this->nothing = Sum::nothing();
        $this->wishes = $this->wishes();
        if ($kept !== null) {
            $this->putBack($kept);

            return;
        }
        $this->field = $effort === null ? $this->graph()->field($before?->field()) : new SoundField($this->graph(), $effort);
        $changed = $before === null ? null : $this->changed($before);
        foreach ($graph->rig->sources as $source) {
            if ($sources === null || in_array($source->id, $sources, true)) {
                $this->hear($source, $before, $changed);
            }
        }
        $this->hearTogether();
    }

    /** The graph that it is heard on. */
    public function graph(): SignalGraph
    {
        return $this->graph instanceof UnbuiltGraph ? $this->graph = $this->graph->built() : $this->graph;
    }

    public function field(): SoundField
    {
        return $this->field ??= $this->graph()->field();
    }

    private function headroom(): Headroom
    {
        return $this->headroom ??= new Headroom($this->graph());
    }

    private function wayFinder(): WayFinder
    {
        return $this->wayFinder ??= new WayFinder($this->graph(), $this->field()->channels);
    }

    /** Whether what has to be alone is alone: that hangs on the other sounds. */
    private function hearTogether(): void
    {
        foreach ($this->wishes as $id => $wishes) {
            foreach (array_intersect_key($this->pairs[$id] ?? [], $wishes) as $to => $pair) {
                if (! $wishes[$to]->alone || $wishes[$to]->want === Want::MustNot) {
                    continue;
                }
                $beside = $pair->isHeard() ? $this->beside($pair) : [];
                if ($pair->verdict === Verdict::NotAlone && $pair->beside !== $beside) {
                    $pair = $this->judge($pair->source, $pair->listener, $pair->wish);
                }
                if ($beside !== [] && $pair->verdict->rank() < Verdict::NotAlone->rank()) {
                    $pair = $pair->notAlone($beside);
                }
                $this->pairs[$id][$to] = $pair;
            }
        }
    }

    /** @return list<Source> the other sounds that a listener hears, louder than they may be */
    private function beside(HeardPair $pair): array
    {
        $beside = [];
        foreach ($this->rig->sources as $id => $other) {
            if ($other === $pair->source) {
                continue;
            }
            $there = $this->pairs[$id][$pair->listener->id] ?? null;
            $there ??= isset($this->pairs[$id]) ? null
                : $this->judge($other, $pair->listener, $this->wishes[$id][$pair->listener->id] ?? null);
            if ($there !== null && $there->isHeard() && ! $there->isSpill()) {
                $beside[] = $other;
            }
        }

        return $beside;
    }

    /**
     * @param  array{array<int, true>, array<array-key, true>}|null  $changed  channels from which something is reached that is not as it
     *     was, and the listeners who are reached by that; null where nothing is known
     */
    private function hear(Source $source, ?self $before, ?array $changed): void
    {
        $wishes = $this->wishes[$source->id] ?? [];
        // What is wished of it may be otherwise in this situation.
        $was = $before !== null && $changed !== null && isset($before->pairs[$source->id])
            && $before->rig->sources[$source->id] === $source && ($before->wishes[$source->id] ?? []) === $wishes
            && Spill::origins($before->rig, $source) == Spill::origins($this->rig, $source) ? $before : null;
        if ($was !== null && ! $this->begins($source, $changed[0])) {
            $this->pairs[$source->id] = $was->pairs[$source->id];
            $this->silent[$source->id] = $was->silent[$source->id] ?? [];
            $this->asBefore[$source->id] = true;

            return;
        }
        $isKept = $was !== null && $this->field()->isCounted($source) && $was->field()->isCounted($source);
        $row = [];
        foreach (array_intersect_key($this->rig->listeners, $this->field()->reachedBy($source)) as $id => $listener) {
            $row[$id] = $isKept && ! isset($changed[1][$id]) && isset($was->pairs[$source->id][$id])
                ? $was->pairs[$source->id][$id]
                : $this->judge($source, $listener, $wishes[$id] ?? null);
        }
        $this->work += $this->field()->work($source);
        $this->pairs[$source->id] = $row;
    }

    private function putBack(KeptHearing $kept): void
    {
        $this->work = $kept->work;
        foreach ($kept->pairs as $id => $row) {
            $source = $this->rig->sources[$id];
            $this->pairs[$id] = [];
            foreach ($row as $to => [$verdict, $sum, $doubling, $loss, $overload, $beside]) {
                $listener = $this->rig->listeners[$to];
                $wish = $this->wishes[$id][$to] ?? null;
                $this->pairs[$id][$to] = new HeardPair(
                    $source,
                    $listener,
                    $wish,
                    $verdict,
                    $sum,
                    $this->find,
                    $doubling,
                    $loss,
                    $overload,
                    array_map(fn (string $other) => $this->rig->sources[$other], $beside),
                );
            }
        }
    }

    /** What is worth keeping of it, to be put back on the same graph. */
    public function kept(): KeptHearing
    {
        return new KeptHearing(array_map(fn (array $row) => array_map(
            fn (HeardPair $pair) => [$pair->verdict, $pair->sum, $pair->doubling, $pair->loss, $pair->overload,
                array_map(fn (Source $one) => $one->id, $pair->beside)],
            $row,
        ), $this->pairs), $this->work);
    }

    /** How many pairs could not be counted. */
    public function uncounted(): int
    {
        $count = 0;
        foreach ($this->pairs as $row) {
            foreach ($row as $pair) {
                $count += $pair->verdict === Verdict::Uncounted ? 1 : 0;
            }
        }

        return $count;
    }

    /** The pair of a source and a listener to whom nothing of it comes. */
    private function silence(Source $source, Listener $listener): HeardPair
    {
        $wish = $this->wishes[$source->id][$listener->id] ?? null;

        return $this->silent[$source->id][$listener->id]
            ??= new HeardPair($source, $listener, $wish, self::verdictOfSilence($wish), $this->nothing, $this->find);
    }

    /**
     * The channels from which something is reached that is not as it was, and the listeners who are reached by that; null where too much is
     * different to tell.
     *
     * @return array{array<int, true>, array<array-key, true>}|null
     */
    private function changed(self $before): ?array
    {
        [$old, $new] = [$before->graph(), $this->graph()];
        if ($old->rig->listeners !== $new->rig->listeners || count($old->links) !== count($new->links) || ! $new->isLaidOutLike($old)) {
            return null;
        }
        $from = $to = [];
        foreach ($old->links === $new->links ? [] : $new->links as $i => $link) {
            $was = $old->links[$i];
            if ($was !== $link) {
                array_push($from, ...$new->channelsOf($link->from), ...$old->channelsOf($was->from));
                array_push($to, ...$new->channelsOf($link->to), ...$old->channelsOf($was->to));
            }
        }
        [$was, $is] = [$before->field()->channels, $this->field()->channels];

        return $from === [] ? [[], []] : [
            $was->reach($from, backward: true) + $is->reach($from, backward: true),
            $this->field()->listenersIn($was->reach($to) + $is->reach($to)),
        ];
    }

    /** @param  array<int, true>  $channels */
    private function begins(Source $source, array $channels): bool
    {
        foreach ($source->origins as $origin) {
            foreach ($this->graph()->channelsOf($this->graph()->entry($origin->at)) as $channel) {
                if (isset($channels[$channel])) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether a source reaches nothing that is not as it was in the hearing that this one took over from: no meter shows it otherwise. */
    public function isAsBefore(Source $source): bool
    {
        return isset($this->asBefore[$source->id]);
    }

    /** @throws \OutOfBoundsException when the rig has no such source or listener */
    public function pair(string $source, string $listener): HeardPair
    {
        $rig = $this->rig;
        if (! isset($this->pairs[$source], $rig->listeners[$listener])) {
            throw new \OutOfBoundsException("There is no source \"{$source}\" or no listener \"{$listener}\".");
        }

        return $this->pairs[$source][$listener] ?? $this->silence($rig->sources[$source], $rig->listeners[$listener]);
    }

    /**
     * The pairs that are not what they were in the hearing that this one took over from, and those of them that were.
     *
     * @return \Generator<int, array{HeardPair, HeardPair}>
     */
    public function differing(self $before): \Generator
    {
        foreach ($this->pairs as $id => $row) {
            $was = $before->pairs[$id] ?? [];
            $source = $this->rig->sources[$id];
            $isWished = ($this->wishes[$id] ?? []) === ($before->wishes[$id] ?? []);
            foreach ($row === $was && $isWished ? [] : $this->rig->listeners as $to => $listener) {
                if (! $isWished || ($row[$to] ?? null) !== ($was[$to] ?? null)) {
                    yield [$was[$to] ?? $before->silence($source, $listener), $row[$to] ?? $this->silence($source, $listener)];
                }
            }
        }
    }

    /** How much work it was, in taps moved: what another hearing of a rig like this will take. */
    public function work(): int
    {
        return $this->work;
    }

    /** How many steps were taken to find the ways that were asked for. */
    public function steps(): int
    {
        return $this->wayFinder()->steps();
    }

    /** @return list<Loop> the loudest first */
    public function loops(): array
    {
        return $this->loops ??= (new LoopFinder($this->graph(), $this->field()->channels, $this->field()->gains))->loops();
    }

    /** @return \Generator<int, HeardPair> sources in the rig's order, for each the listeners in theirs */
    public function all(): \Generator
    {
        foreach ($this->rows() as [$source, , $pairs]) {
            foreach ($this->rig->listeners as $id => $listener) {
                yield $pairs[$id] ?? $this->silence($source, $listener);
            }
        }
    }

    /**
     * Each source with its wishes and the pairs of those to whom anything of it comes at all, by listener.
     *
     * @return \Generator<int, array{Source, array<array-key, Wish>, array<array-key, HeardPair>}>
     */
    public function rows(): \Generator
    {
        foreach ($this->pairs as $id => $row) {
            yield [$this->rig->sources[$id], $this->wishes[$id] ?? [], $row];
        }
    }

    /**
     * The impulse response of a pair: for each channel of an ear, each origin and part of the source, when how much arrives. Sorted by
     * delay.
     *
     * Channels and parts count from 1; a tap is the delay in ms and the signed amplitude (1 is 0 dB), down to -80 dB.
     *
     * @return list<array{ear: string, ear_channel: int, origin: string, part: int, taps: list<array{float, float}>}>
     */
    public function response(HeardPair $pair): array
    {
        return $this->field()->response($pair->source, $pair->listener, 10 ** (self::RESPONSE_DB / 20));
    }

    /** What is worth keeping of it to tell later what has changed. */
    public function note(): HearingNote
    {
        $pairs = [];
        foreach ($this->rows() as [$source, $wishes, $row]) {
            foreach ($this->rig->listeners as $id => $_) {
                $verdict = ($row[$id] ?? null)->verdict ?? self::verdictOfSilence($wishes[$id] ?? null);
                $pairs[$source->id][$id] = [$verdict->value, ($row[$id] ?? null)?->level()?->value()];
            }
        }

        return new HearingNote($pairs);
    }

    /** @return array<string, int> how many pairs have each verdict, by its value */
    public function counts(): array
    {
        $counts = array_fill_keys(array_map(fn (Verdict $verdict) => $verdict->value, Verdict::cases()), 0);
        foreach ($this->rows() as [, $wishes, $row]) {
            foreach ($this->rig->listeners as $id => $_) {
                $counts[(($row[$id] ?? null)->verdict ?? self::verdictOfSilence($wishes[$id] ?? null))->value]++;
            }
        }

        return $counts;
    }

    /**
     * The wishes that hold in this situation: one that names it goes before one that holds in all.
     *
     * @return array<array-key, array<array-key, Wish>>
     */
    private function wishes(): array
    {
        $situation = $this->situation->id;
        $wishes = [];
        foreach ($this->rig->wishes as $wish) {
            if (in_array($situation, $wish->situations, true)) {
                $wishes[$wish->source][$wish->listener] = $wish;
            } elseif ($wish->situations === []) {
                $wishes[$wish->source][$wish->listener] ??= $wish;
            }
        }

        return $wishes;
    }

    private function judge(Source $source, Listener $listener, ?Wish $wish): HeardPair
    {
        $this->work += self::JUDGING;
        $sum = $this->field()->heard($source, $listener);
        $isUnwanted = $wish?->want === Want::MustNot;
        if (! ($isUnwanted ? $sum->peak !== null : $sum->isHeard())) {
            $verdict = $sum->isUncertain() ? Verdict::Uncounted : self::verdictOfSilence($wish);

            return new HeardPair($source, $listener, $wish, $verdict, $sum, $this->find);
        }
        $doubling = $sum->doubling();
        $ways = $overload = null;
        $isWanted = $wish !== null && ! $isUnwanted;
        if ($isWanted && ($doubling === null || $doubling->kind() === DoublingKind::Thin) && $sum->meets && ! $sum->runsRound
            && ! $sum->isUncertain()) {
            $ways = $this->ways($source, $listener, Sum::HEARD_DB);
            $doubling = $this->atOneTime($ways->arrivals) ?? $doubling;
        }
        if ($isWanted && $this->mayOverload($source)) {
            $ways = $ways === null || $ways->arrivals === [] ? $this->ways($source, $listener, Sum::HEARD_DB) : $ways;
            $overload = $ways->arrivals === [] ? null : $this->headroom()->overload($source, $ways->arrivals[0]);
        }
        if ($isUnwanted && $this->isFine($source, $listener, $wish, $sum)) {
            return new HeardPair($source, $listener, $wish, Verdict::Ok, $sum, $this->find, $doubling);
        }
        $isAside = $wish?->side !== null && $sum->sides === $wish->side->value;
        $loss = $isAside ? null : $sum->loss();
        $loss ??= $wish?->stereo === true && $sum->isMono() ? Loss::Mono : null;
        // The worst is said.
        $verdict = match (true) {
            $wish === null => Verdict::Unwished,
            $sum->runsRound => Verdict::Loop,
            $isUnwanted => Verdict::Leak,
            $sum->isUncertain() => Verdict::Uncounted,
            $wish->want === Want::Must && $sum->level?->value() <= -Sum::TOO_QUIET_DB + Sum::ROUNDING_DB => Verdict::TooQuiet,
            $overload !== null => Verdict::Overloads,
            $doubling !== null && $doubling->kind() !== DoublingKind::Thin => Verdict::Doubled,
            $loss !== null || ($wish->side !== null && ! $isAside) => Verdict::OneSided,
            $wish->treatment !== null && $this->isTreatedOtherwise($source, $listener, $wish->treatment) => Verdict::Treated,
            $doubling !== null => Verdict::Thin,
            default => Verdict::Ok,
        };
        $overload = $verdict === Verdict::Overloads ? $overload : null;
        $pair = new HeardPair($source, $listener, $wish, $verdict, $sum, $this->find, $doubling, $loss, $overload);

        return $ways === null || $ways->arrivals === [] ? $pair : $pair->withWays($ways);
    }

    /**
     * Whether what must not be heard is so soft that nobody minds: as the wish says, else as spill, one voice in the microphone of
     * another in the same room, may be.
     */
    private function isFine(Source $source, Listener $listener, Wish $wish, Sum $sum): bool
    {
        $most = $wish->upToDb?->value() ?? -self::SPILL_DB;
        if ($sum->runsRound || $sum->isUncertain() || $sum->peak?->value() > $most + Sum::ROUNDING_DB) {
            return false;
        }

        return $wish->upToDb !== null || (count($source->origins) > 1
            && (new HeardPair($source, $listener, $wish, Verdict::Leak, $sum, $this->find))->isSpilled());
    }

    private function mayOverload(Source $source): bool
    {
        if ($this->loud === null || $this->loud[0] !== $source->id) {
            $this->loud = [$source->id, $this->field()->mayExceed($source, $this->headroom()->tight, $this->headroom()->usual)];
        }

        return $this->loud[1];
    }

    /** Whether the strongest way passes effects where the sound has to be dry, or none where it has to be processed. */
    private function isTreatedOtherwise(Source $source, Listener $listener, Treatment $wanted): bool
    {
        $strongest = $this->ways($source, $listener, Sum::HEARD_DB)->arrivals[0] ?? null;

        $isTreating = fn (Hop $hop): bool => $hop->effect !== null && $hop->at instanceof PointRef
            && $this->rig->units[$hop->at->unit]->effect($hop->effect)?->kind->treats() === true;

        return $strongest !== null
            && (array_filter($strongest->hopsOf(HopKind::Effect), $isTreating) === []) === ($wanted === Treatment::Processed);
    }

    public static function verdictOfSilence(?Wish $wish): Verdict
    {
        return match ($wish?->want) {
            null => Verdict::Silent,
            Want::Must => Verdict::Missing,
            default => Verdict::Ok,
        };
    }

    /**
     * Two ways that bring the same part of the source to the same channel of an ear at the same time, and are not two legs of one sound:
     * that is louder than meant, or with turned polarity softer.
     *
     * @param  list<Arrival>  $arrivals  strongest first
     */
    private function atOneTime(array $arrivals): ?Doubling
    {
        /** @var array<string, array{float, Arrival}> $strongest by ear, channel and part */
        $strongest = [];
        $worst = null;
        $main = [];
        foreach ($arrivals as $arrival) {
            foreach ($arrival->levels as $parts) {
                $main["{$arrival->ear}"] = max($main["{$arrival->ear}"] ?? -INF, ...$parts);
            }
        }
        foreach ($arrivals as $arrival) {
            foreach ($arrival->levels as $channel => $parts) {
                foreach ($parts as $part => $level) {
                    $slot = "{$arrival->ear} {$channel} {$part}";
                    // So far below the main sound nobody hears what two copies do to each other: crosstalk of a stereo sound, say.
                    if ($level <= $main["{$arrival->ear}"] - Doubling::ECHO_DB) {
                        continue;
                    }
                    if (! isset($strongest[$slot])) {
                        $strongest[$slot] = [$level, $arrival];

                        continue;
                    }
                    [$most, $first] = $strongest[$slot];
                    $apart = $first->delay->apartFrom($arrival->delay);
                    $difference = Decibels::of($most - $level);
                    if ($apart->value() < Doubling::ADDS_MS && $difference->value() < Doubling::RIPPLE_DB && ! $first->isLegBeside($arrival)
                        && ($worst === null || $difference->isBelow($worst->difference))) {
                        $worst = new Doubling(
                            $difference,
                            $apart,
                            $first->clocks === $arrival->clocks,
                            isTurned: $first->isTurned !== $arrival->isTurned,
                        );
                    }
                }
            }
        }

        return $worst;
    }

    /** The ways that explain a pair: what is heard by itself; where only many quiet ones together are, those. */
    private function waysOf(HeardPair $pair): Ways
    {
        $ways = $this->ways($pair->source, $pair->listener, Sum::HEARD_DB);

        if ($ways->arrivals !== [] || ! $pair->isHeard()) {
            return $ways;
        }
        $quiet = $this->ways($pair->source, $pair->listener, -self::RESPONSE_DB);

        return $quiet->arrivals === [] ? new Ways([], true) : $quiet;
    }

    private function ways(Source $source, Listener $listener, float $down): Ways
    {
        return $this->wayFinder()->ways(Spill::origins($this->rig, $source), $listener->at, $down);
    }
}
