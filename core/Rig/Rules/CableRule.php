<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Turns;

/** A lead fits at both ends, and no hand could do otherwise. */
final class CableRule implements Rule
{
    public function reads(): array
    {
        return ['cables', 'situations', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        $taken = $labels = [];
        $turns = new Turns($in->parts->situations);
        foreach ($in->parts->cables as $i => $cable) {
            if (isset($labels[$cable->label])) {
                $in->fault(
                    "/cables/{$i}/label",
                    "label {$cable->id} {$cable->label}",
                    "The label \"{$cable->label}\" is on /cables/{$labels[$cable->label]} already. Give each cable a label of its own.",
                );
            }
            $labels[$cable->label] = $i;
            $ends = [];
            foreach (['from' => $cable->from, 'to' => $cable->to] as $name => $ref) {
                $model = $in->modelAt($ref->unit, "/cables/{$i}/{$name}");
                $ends[$name] = $model?->sockets[$ref->socket] ?? null;
                if ($model !== null && $ends[$name] === null) {
                    $in->problem("/cables/{$i}/{$name}", "The unit \"{$ref->unit}\" has no socket \"{$ref->socket}\".");
                }
            }
            if ((string) $cable->from === (string) $cable->to) {
                $in->problem("/cables/{$i}/to", 'A cable joins two sockets; both ends are in the same one.');
            }
            foreach ($ends as $name => $socket) {
                $at = (string) ($name === 'from' ? $cable->from : $cable->to);
                if ($socket === null) {
                    continue;
                }
                foreach ($socket->connector->takesSeveral() ? [] : $taken[$at] ?? [] as $other) {
                    if ($other->id !== $cable->id && (count($taken[$at] ?? []) >= Turns::MOST || ! $turns->take($other->id, $cable->id))) {
                        $in->fault(
                            "/cables/{$i}/{$name}",
                            "taken {$cable->id} {$at}",
                            "{$socket->label} has {$other->label} in it already. Use another socket, or put a splitter or a hub between.",
                        );

                        break;
                    }
                }
                $taken[$at][] = $cable;
                if (! $cable->type->fits($socket->connector)
                    && ($name === 'from' || $ends['from'] === null || $cable->type->fits($ends['from']->connector))) {
                    $in->fault(
                        "/cables/{$i}/{$name}",
                        "plug {$cable->id} {$at}",
                        ucfirst($cable->type->article())
                            ." {$cable->type->words()} lead does not go into {$socket->label} ({$socket->connector->words()})."
                            .$this->wayOut($in, $ends['from'], $ends['to']),
                    );
                }
            }
            if ($cable->lanes === null || $ends['from'] === null || $ends['to'] === null) {
                continue;
            }
            foreach ($cable->lanes as $l => [$a, $b]) {
                $from = $ends['from']->lanes[$a] ?? null;
                $to = $ends['to']->lanes[$b] ?? null;
                if ($from === null || $to === null) {
                    $in->problem(
                        "/cables/{$i}/lanes/{$l}",
                        'There is no lane "'.($from === null ? $a : $b).'" in the socket at the '.($from === null ? 'from' : 'to').' end.',
                    );
                } elseif ($from->way === $to->way) {
                    $in->problem("/cables/{$i}/lanes/{$l}", "Both lanes go {$from->way->value}: a pair joins an out with an in.");
                }
            }
        }
    }

    /** What would join two sockets, where a lead does not. */
    private function wayOut(Fit $in, ?Socket $from, ?Socket $to): string
    {
        $fits = $from === null || $to === null ? null : Mating::cable($from, $to);

        return $fits === null
            ? ' An adapter or a converter has to stand between the two.'
            : " These two take {$fits->article()} {$fits->words()} lead.";
    }
}
