<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Revision;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Signal\HearingDifference;

/** Two revisions of a rig side by side: what was changed, and for whom the hearing changes. */
final readonly class Comparison
{
    public function __construct(public Revision $before, public Revision $after, public RigDifference $difference)
    {
    }

    /** Which revisions, from what to what, when. */
    public function words(): string
    {
        $of = fn (Revision $one): string => "{$one->what} ({$one->created_at->toDateTimeString()})";

        return "{$of($this->before)} → {$of($this->after)}";
    }

    /** @return array<string, HearingDifference> by the situation's name, where anybody hears something else */
    public function heard(): array
    {
        return array_filter($this->difference->hearing(), fn (HearingDifference $one) => $one->pairs !== []);
    }
}
