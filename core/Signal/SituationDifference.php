<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Situations\SituationTable;

/** From one situation to another: what a hand would have to do, and for whom what is heard changes. */
final readonly class SituationDifference
{
    /** @var list<string> each in words: "Desk mixer: Mic 1 → Main off" */
    public array $changes;

    /** @var list<array{before: HeardPair, after: HeardPair}> pairs whose verdict changes, or whether they are heard */
    public array $pairs;

    /** @param  SituationTable|null  $table  of the rig, where it is made already */
    public function __construct(public Hearing $before, public Hearing $after, ?SituationTable $table = null)
    {
        [$was, $is] = [$before->graph()->state, $after->graph()->state];
        $table ??= new SituationTable($after->rig, [$was->situation->id => $was, $is->situation->id => $is]);
        $this->changes = $table->told($was->situation->id, $is->situation->id);
        $this->pairs = (new HearingDifference($before, $after))->pairs;
    }
}
