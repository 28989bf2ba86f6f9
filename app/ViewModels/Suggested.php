<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Rig\Rig;

/** Where sounds and listeners that are nowhere likely are: what is sent when all is taken, and how it reads. */
final readonly class Suggested
{
    /** @var array<string, string> hidden fields of the form, by name */
    public array $fields;

    /** @var list<string> "Voice starts at Headset: Capsule" */
    public array $lines;

    /** @param  array{starts: array<string, string>, listens: array<string, string>}  $likely  places by sound, and by listener */
    public function __construct(Rig $rig, array $likely)
    {
        $starts = Places::starts($rig);
        $ears = Places::ears($rig);
        $fields = $lines = [];
        foreach ($likely['starts'] as $source => $at) {
            $fields["starts[{$source}]"] = $at;
            $lines[] = "{$rig->sources[$source]->name} starts at {$starts[$at]}";
        }
        foreach ($likely['listens'] as $listener => $at) {
            $fields["listens[{$listener}]"] = $at;
            $lines[] = "{$rig->listeners[$listener]->name} listens at {$ears[$at]}";
        }
        $this->fields = $fields;
        $this->lines = $lines;
    }
}
