<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Ducking;
use HiddenWire\Core\Signal\Lowering;

/** A ducker that lowers a sound by that sound itself, or that nothing ever sets off. */
final readonly class Ducked implements Check
{
    public function code(): string
    {
        return 'level.ducked';
    }

    public function findings(Inspection $in): iterable
    {
        $duckers = $setOff = [];
        foreach ($in->each() as $situation => $hearing) {
            $ducking = new Ducking($hearing->graph());
            foreach ($hearing->rig->units as $unit) {
                foreach ($unit->effects === [] ? [] : $ducking->ofUnit($unit) as $lowering) {
                    $key = "{$unit->id} {$lowering->effect->id}";
                    $duckers[$key] ??= $lowering;
                    $setOff[$key] = ($setOff[$key] ?? false) || $lowering->by !== [];
                    $own = array_intersect_key(
                        array_column($lowering->by, null, 'id'),
                        $hearing->field()->levelsAt($hearing->graph()->entry((string) $lowering->at)),
                    );
                    if ($own !== []) {
                        yield $this->byItself($in, $lowering, array_values($own), (string) $situation);
                    }
                }
            }
        }
        foreach ($duckers as $key => $lowering) {
            if (! $setOff[$key]) {
                yield new Finding(
                    $this->code(),
                    Severity::Note,
                    "Nothing ever sets off {$lowering->effect->label()} of {$in->names->of($lowering->at)}",
                    $lowering->effect->values?->by ? 'No sound comes to the points that it listens to, in any situation.'
                        : 'Nobody has said by which sound it lowers its own.',
                    [$lowering->at],
                );
            }
        }
    }

    /** @param  list<Source>  $own */
    private function byItself(Inspection $in, Lowering $lowering, array $own, string $situation): Finding
    {
        $names = Listing::of(array_map(fn (Source $one) => $one->name, $own));

        return new Finding(
            $this->code(),
            Severity::Risk,
            "{$names} ".(count($own) === 1 ? 'lowers itself' : 'lower themselves')." at {$in->names->of($lowering->at)}",
            "{$lowering->effect->label()} listens where ".(count($own) === 1 ? 'it comes' : 'they come')
                .' too, so the level pumps. Let it listen before they meet.',
            [$lowering->at],
            [$situation],
        );
    }
}
