<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;

/** An output into an output, an input into an input, a computer into a computer. Two outputs joined by a passive unit are another case. */
final readonly class WrongDirection implements Check
{
    public function code(): string
    {
        return 'plug.direction';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->cables as $cable) {
            [$from, $to] = [$in->rig->socket($cable->from), $in->rig->socket($cable->to)];
            $what = match (true) {
                $from->link !== null && $to->link !== null => $this->ofBus($from, $to),
                $from->lanes === [] || $to->lanes === [] || $in->wiring->lanesOf($cable) !== [] => null,
                self::gives($from) && self::gives($to) => 'both ends are outputs',
                self::takes($from) && self::takes($to) => 'both ends are inputs',
                default => null,
            };
            if ($what !== null && ! self::isJoinedOutputs($in, $cable)) {
                yield new Finding(
                    $this->code(),
                    self::gives($from) && self::gives($to) ? Severity::Fault : Severity::Risk,
                    "{$cable->label} between {$in->names->of($cable->from)} and {$in->names->of($cable->to)}: {$what}",
                    $what === 'both ends are outputs'
                        ? 'Each drives the other: both sound wrong, and one may be damaged. Nothing is carried.'
                        : 'Nothing is carried. Plug one end where the other kind is.',
                    [new CableRef($cable->id), $cable->from, $cable->to],
                );
            }
        }
    }

    /** Whether a cable leads an output into the output of a splitter or adapter: that is a splitter used backwards. */
    public static function isJoinedOutputs(Inspection $in, Cable $cable): bool
    {
        $passive = [Family::Splitter, Family::Adapter];
        $units = array_filter(
            [$cable->from, $cable->to],
            fn ($end) => in_array($in->rig->modelOf($end->unit)->family, $passive, true),
        );

        return $units !== [] && $in->wiring->lanesOf($cable) === []
            && self::gives($in->rig->socket($cable->from)) && self::gives($in->rig->socket($cable->to));
    }

    private static function gives(Socket $socket): bool
    {
        return $socket->lanesGoing(Way::Out) !== [] && $socket->lanesGoing(Way::In) === [];
    }

    private static function takes(Socket $socket): bool
    {
        return $socket->lanesGoing(Way::In) !== [] && $socket->lanesGoing(Way::Out) === [];
    }

    private function ofBus(Socket $from, Socket $to): ?string
    {
        $gives = [LinkRole::Host, LinkRole::Downstream];

        return match (true) {
            in_array($from->link, $gives, true) && in_array($to->link, $gives, true) => 'both ends are for devices, and none is one',
            ! in_array($from->link, $gives, true) && ! in_array($to->link, $gives, true) => 'both ends are devices, without a computer',
            default => null,
        };
    }
}
