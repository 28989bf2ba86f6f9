<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Equipment\PickedIn;
use HiddenWire\Core\Rig\Pick;

/** What a program uses, by the name that its computer's list shows. */
final class PickWords
{
    /** For a hand that sets it: "Desk return, channels 3 and 4, in the system's list of programs". */
    public static function toSet(Pick $pick, BookInput $of): string
    {
        $place = $of->rig->pickedIn($pick->at);
        $channels = $pick->channels ?? [];

        return self::of($pick, $of)
            .($channels === [] ? '' : (count($channels) === 1 ? ', channel ' : ', channels ').implode(' and ', $channels))
            .match ($place) {
                PickedIn::Program => '',
                PickedIn::System => ", {$place->words()}".(self::isShownWhilePlaying($pick, $of) ? ', where it stands while it plays' : ''),
                null => ', which neither it nor the system can choose: it follows the system default',
            };
    }

    private static function isShownWhilePlaying(Pick $pick, BookInput $of): bool
    {
        return $of->rig->systemKindOf($of->rig->units[$pick->at->unit]->place)?->listsOnlyPlaying() === true;
    }

    public static function of(Pick $pick, BookInput $of): string
    {
        $mode = $pick->mode === null ? '' : ", {$pick->mode->value}";
        if ($pick->default !== null) {
            return $pick->default->words().$mode;
        }
        if ($pick->device === null) {
            return 'the device of the program';
        }
        $host = $of->rig->hostOf($of->rig->units[$pick->at->unit]->place);
        $listed = $host === null ? null : $of->graph()->devices->of($host->id)[(string) $pick->device] ?? null;

        $also = implode('', array_map(fn ($device) => " and {$of->names->of($device)}", $pick->also));

        return ($pick->tap === null ? '' : 'loopback of ').($listed?->name() ?? $of->names->of($pick->device)).$also.$mode;
    }
}
