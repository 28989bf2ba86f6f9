<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Time;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hop;

/** Somebody's own voice in their headphones, late. */
final readonly class Monitor implements Check
{
    /** From here on one's own voice, heard through the bones at once, is heard as two; below it only sounds hollow. */
    public const LATE_MS = 10.0;

    public function code(): string
    {
        return 'time.monitor';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($hearing->all() as $pair) {
                $late = self::isOwn($in, $pair) ? $pair->delay() : null;
                if ($late !== null && $late->value() > self::LATE_MS) {
                    yield new Finding(
                        $this->code(),
                        Severity::Risk,
                        "{$pair->listener->name} hears {$pair->source->name} from beside them {$late->text()} ms late",
                        'Nobody talks well against their own late voice. Take it before the computer: from the mixer itself.',
                        self::about($pair),
                        [$situation],
                    );
                }
            }
        }
    }

    /** A voice that begins in the place where the headphones are. */
    public static function isOwn(Inspection $in, HeardPair $pair): bool
    {
        $origin = $pair->source->origins[0]->at ?? null;
        $ear = $pair->listener->at[0] ?? null;

        return $pair->isHeard() && $pair->source->kind === SourceKind::Voice && $pair->listener->kind === ListenerKind::Headphones
            && $origin !== null && $ear !== null && $in->rig->units[$origin->unit]->place === $in->rig->units[$ear->unit]->place;
    }

    /** @return list<mixed> where it begins, where it is heard, and the step that costs most */
    private static function about(HeardPair $pair): array
    {
        $slowest = null;
        foreach ($pair->arrivals()[0]->hops ?? [] as $hop) {
            $slowest = $slowest === null || $slowest->delay->value() < $hop->delay->value() ? $hop : $slowest;
        }

        return [
            ...array_map(fn ($origin): PointRef => $origin->at, array_slice($pair->source->origins, 0, 1)),
            ...$pair->listener->at,
            ...($slowest instanceof Hop && isset($slowest->at->unit) ? [$slowest->at] : []),
        ];
    }
}
