<?php

declare(strict_types=1);

namespace HiddenWire\Core\Finder;

use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Room\Deflection;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Readings;

/**
 * A sound followed along the way that it should take: the meter in the middle is read first, and what it shows halves the way. Takes one
 * more check than the logarithm of the meters on it.
 */
final readonly class FollowSignal
{
    /** @var list<string> meters on the way that move as planned, from the sound to the listener, as checks: "read unit/meter source" */
    public array $checks;

    /**
     * @param  Hearing  $plan  as it should be
     * @param  HeardPair  $pair  of that
     */
    public function __construct(Hearing $plan, HeardPair $pair)
    {
        $rig = $plan->rig;
        $readings = new Readings($plan->graph());
        $checks = [];
        foreach ($pair->arrivals()[0]->hops ?? [] as $hop) {
            $at = $hop->at;
            if (! $at instanceof PointRef) {
                continue;
            }
            foreach ($rig->modelOf($at->unit)->meters as $meter) {
                if ($meter->point === $at->point && $readings->ofSource($rig->units[$at->unit], $meter, $pair->source) !== null) {
                    $checks["read {$at->unit}/{$meter->id} {$pair->source->id}"] = true;
                }
            }
        }
        $this->checks = array_keys($checks);
    }

    /**
     * The meter in the middle of what is left; null where it is known between which two the sound is lost.
     *
     * @param  array<string, string>  $known  answers by check
     */
    public function next(array $known): ?string
    {
        [$good, $bad] = $this->between($known);
        $left = array_values(array_filter(
            range($good + 1, max($good + 1, $bad - 1)),
            fn (int $at) => $at < $bad && isset($this->checks[$at]) && ! isset($known[$this->checks[$at]]),
        ));

        return $left === [] ? null : $this->checks[$left[intdiv(count($left), 2)]];
    }

    /**
     * @param  array<string, string>  $known
     * @return array{int, int} the last meter that shows the sound, -1 for none; the first behind it that does not, or one behind the last
     */
    public function between(array $known): array
    {
        $good = -1;
        $bad = count($this->checks);
        foreach ($this->checks as $at => $check) {
            $shows = Deflection::tryFrom($known[$check] ?? '');
            if ($shows === Deflection::AsPlanned || $shows === Deflection::Higher) {
                $good = $at;
                $bad = count($this->checks);
            } elseif ($shows !== null) {
                $bad = min($bad, $at);
            }
        }

        return [$good, $bad];
    }
}
