<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** For whom what is heard changes, from one hearing to another: of the same rig in two situations, or before and after a change. */
final readonly class HearingDifference
{
    /** A change of level below this is not worth a word: about what a careful ear notices of a whole mix. */
    private const NOTICED_DB = 0.5;

    /** @var list<array{before: HeardPair, after: HeardPair}> pairs whose verdict changes, or whether they are heard */
    public array $pairs;

    public function __construct(public Hearing $before, public Hearing $after)
    {
        $pairs = [];
        foreach ($this->common() as [$was, $is]) {
            if ($was->verdict !== $is->verdict || ($was->arrivals === []) !== ($is->arrivals === [])) {
                $pairs[] = ['before' => $was, 'after' => $is];
            }
        }
        $this->pairs = $pairs;
    }

    /** @return list<string> in words: "lost for Viewers: Music" */
    public function words(): array
    {
        $groups = [];
        foreach ($this->common() as [$was, $is]) {
            $listener = $is->listener->name;
            [$isHeard, $wasHeard] = [$is->arrivals !== [], $was->arrivals !== []];
            if ($wasHeard !== $isHeard) {
                $groups[($isHeard ? 'new for ' : 'lost for ').$listener][] = $is->source->name;
            } elseif ($was->verdict !== $is->verdict) {
                $groups[$is->verdict->isAtOdds() ? "{$is->verdict->value} now for {$listener}" : "right now for {$listener}"][] = $is->source->name;
            } elseif ($isHeard && abs($db = $is->arrivals[0]->gain->value() - $was->arrivals[0]->gain->value()) >= self::NOTICED_DB) {
                $groups[($db > 0 ? 'louder' : 'softer')." for {$listener}"][] = sprintf('%s by %.1f dB', $is->source->name, abs($db));
            }
        }

        return array_map(fn (string $what) => "{$what}: ".implode(', ', $groups[$what]), array_keys($groups));
    }

    /** @return iterable<array{HeardPair, HeardPair}> of sounds and listeners that are on both sides */
    private function common(): iterable
    {
        foreach ($this->after->all() as $is) {
            if (isset($this->before->graph->rig->sources[$is->source->id], $this->before->graph->rig->listeners[$is->listener->id])) {
                yield [$this->before->pair($is->source->id, $is->listener->id), $is];
            }
        }
    }
}
