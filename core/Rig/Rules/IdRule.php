<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Altered;

/** Ids are unique in their list. */
final class IdRule implements Rule
{
    public function reads(): array
    {
        return ['places', 'cables', 'sources', 'listeners', 'situations', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        foreach (Fit::LISTS as $list) {
            $seen = [];
            foreach ($in->parts->{$list} as $i => $thing) {
                if (isset($seen[$thing->id])) {
                    $in->problem(
                        "/{$list}/{$i}/id",
                        "The id \"{$thing->id}\" is taken by /{$list}/{$seen[$thing->id]}; ids are unique among {$list}.",
                    );
                }
                $seen[$thing->id] ??= $i;
            }
        }
        if ($in->parts->situations === [] && ($in->unreadable['situations'] ?? []) === []) {
            $in->problem('/situations', 'A rig has at least one situation; the first is its default.');
        }
    }
}
