<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Rig\Pick;

/** What a program uses, by the name that its computer's list shows. */
final class PickWords
{
    public static function of(Pick $pick, Source $of): string
    {
        if ($pick->default !== null) {
            return "the {$pick->default->value} default";
        }
        if ($pick->device === null) {
            return 'nothing';
        }
        $host = $of->rig->hostOf($of->rig->units[$pick->at->unit]->place);
        $listed = $host === null ? null : $of->hearing()->graph->devices->of($host->id)[(string) $pick->device] ?? null;

        return ($pick->tap === null ? '' : 'loopback of ').($listed?->name() ?? $of->names->of($pick->device));
    }
}
