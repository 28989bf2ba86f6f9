<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** For whom what is heard changes, from one hearing to another: of the same rig in two situations, or before and after a change. */
final readonly class HearingDifference
{
    /** @var list<array{before: HeardPair, after: HeardPair}> pairs whose verdict changes, or whether they are heard */
    public array $pairs;

    public function __construct(public Hearing $before, public Hearing $after)
    {
        $pairs = [];
        foreach ($this->common() as [$was, $is]) {
            if ($was->verdict !== $is->verdict || $was->isHeard() !== $is->isHeard()) {
                $pairs[] = ['before' => $was, 'after' => $is];
            }
        }
        $this->pairs = $pairs;
    }

    /** @return list<string> in words: "lost for Viewers: Music" */
    public function words(): array
    {
        return $this->before->note()->upTo($this->after);
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
