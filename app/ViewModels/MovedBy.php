<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\MovedPair;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Listing;

/** Which hands move a cell of the hearing table, in words. */
final class MovedBy
{
    private const NAMED = 2;

    /** "moved by Fader 1 (Music), also it at Archive; Left pad, which moves nothing else; and 3 more": what moves it alone comes first. */
    public static function says(Hearings $plan, string $source, string $listener, string $situation): string
    {
        $said = [];
        $moving = (new ControlReach($plan))->moving($source, $listener, $situation);
        foreach ($moving as ['control' => $control, 'besides' => $besides]) {
            $also = array_map(fn (MovedPair $one) => $one->source->id === $source ? "it at {$one->listener->name}"
                : "{$one->source->name} at {$one->listener->name}", $besides);
            $said[] = $control->words().($also === [] ? ', which moves nothing else' : ', also '.Listing::of($also, self::NAMED));
        }

        $more = count($said) - self::NAMED;

        return $said === [] ? 'moved by no control'
            : 'moved by '.implode('; ', array_slice($said, 0, self::NAMED)).($more > 0 ? "; and {$more} more" : '');
    }
}
