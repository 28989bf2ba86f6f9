<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;

/** Ends that don't mate: two of one sex, or plugs that no lead has. */
final readonly class Mismatch implements Check
{
    /** Adapters that are proposed. */
    private const PROPOSED = 2;

    public function code(): string
    {
        return 'plug.mismatch';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->cables as $cable) {
            [$from, $to] = [$in->rig->socket($cable->from), $in->rig->socket($cable->to)];
            $what = $this->isOneSex($from->connector, $to->connector)
                ? "both ends are {$from->connector->words()}"
                : $this->noSuchLead($in, $cable);
            if ($what !== null) {
                $adapters = $this->adapters($in, $cable);
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    "{$cable->label} between {$in->names->of($cable->from)} and {$in->names->of($cable->to)}: {$what}",
                    $adapters === [] ? 'Such a lead has to be made, or an adapter found.'
                        : 'Put an adapter in: '.implode(' or ', array_map(fn (PutBetween $one) => $one->model->name, $adapters)).'.',
                    [new CableRef($cable->id), $cable->from, $cable->to],
                    [],
                    array_map(fn (PutBetween $one) => new Proposal(
                        "Put {$one->model->name} into {$cable->label}",
                        [$one],
                        Cost::PLUG,
                    ), $adapters),
                );
            }
        }
        foreach ($in->rig->faults as $fault) {
            [$kind, $thing] = [...explode(' ', (string) $fault->fault, 3), ''];
            if ($kind === 'plug' && isset($in->rig->cables[$thing])) {
                $what = lcfirst(rtrim($fault->message, '.'));
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    "{$in->rig->cables[$thing]->label}: {$what}",
                    'Take a lead whose plug goes in.',
                    [new CableRef($thing)],
                );
            }
        }
    }

    /** A female XLR plug goes into a male socket: two sockets of one sex need a lead that nobody sells. */
    private function isOneSex(Connector $a, Connector $b): bool
    {
        $female = [Connector::XlrF, Connector::ComboF];

        return ($a === Connector::XlrM && $b === Connector::XlrM) || (in_array($a, $female, true) && in_array($b, $female, true)
            && ($a === Connector::XlrF || $b === Connector::XlrF));
    }

    private function noSuchLead(Inspection $in, Cable $cable): ?string
    {
        [$from, $to] = [$in->rig->socket($cable->from), $in->rig->socket($cable->to)];
        $isFound = $from->link !== null || $to->link !== null || $in->wiring->lanesOf($cable) === []
            || in_array($cable->type->value, ['captive', 'wireless'], true) || Mating::cable($from, $to) !== null;

        return $isFound ? null : "no lead has {$from->connector->words()} at one end and {$to->connector->words()} at the other";
    }

    /** @return list<PutBetween> */
    private function adapters(Inspection $in, Cable $cable): array
    {
        return array_slice($in->between($cable->from, $cable->to, [Family::Adapter]), 0, self::PROPOSED);
    }
}
