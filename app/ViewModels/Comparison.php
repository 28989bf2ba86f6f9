<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Revision;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HearingDifference;

/** Two revisions of a rig side by side: their maps, what was changed, and for whom the hearing changes. */
final readonly class Comparison
{
    /** @var array<string, HearingDifference> */
    private array $heard;

    public function __construct(
        private RigPage $page,
        public Revision $before,
        public Revision $after,
        public RigDifference $difference,
    ) {
        $this->heard = array_filter($difference->hearing(), fn (HearingDifference $one) => $one->pairs !== []);
    }

    /** Which revisions, from what to what, when. */
    public function words(): string
    {
        $of = fn (Revision $one): string => ($one->name === '' ? '' : "{$one->name}: ")
            ."{$one->what} ({$one->created_at->toDateTimeString()})";

        return "{$of($this->before)} → {$of($this->after)}";
    }

    /** @return array<string, HearingDifference> by the situation's name, where anybody hears something else */
    public function heard(): array
    {
        return $this->heard;
    }

    /**
     * The hearing table of a situation: each pair after, and before where that differs; null where it did not exist.
     *
     * @return array<string, array<string, array{after: HeardPair, before: HeardPair|null, isNew: bool}>> by sound and listener
     */
    public function table(HearingDifference $heard): array
    {
        $was = $heard->before->rig;
        $rows = [];
        foreach ($heard->after->all() as $pair) {
            $isKnown = isset($was->sources[$pair->source->id], $was->listeners[$pair->listener->id]);
            $before = $isKnown ? $heard->before->pair($pair->source->id, $pair->listener->id) : null;
            $isOther = $before !== null && ($before->verdict !== $pair->verdict || $before->isHeard() !== $pair->isHeard());
            $rows[$pair->source->name][$pair->listener->name] = [
                'after' => $pair, 'before' => $isOther ? $before : null, 'isNew' => ! $isKnown,
            ];
        }

        return $rows;
    }

    public function mapsUrl(): string
    {
        return route('rigs.compare.maps', [
            $this->page->record->id, $this->before->number, $this->after->number, 'depth' => $this->page->depth->value,
        ]);
    }

    /** The same comparison with the maps at another depth. */
    public function depthUrl(MapDepth $depth): string
    {
        return route('rigs.compare', [$this->page->record->id, $this->before->number, $this->after->number, 'depth' => $depth->value]);
    }
}
