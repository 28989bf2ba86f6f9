<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Hear\NoOwnLevel;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Levels\VoiceBalance;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Signal\HeardPair;

/** A voice that is not as far above the rest as somebody wants it there. */
final readonly class UnevenBalance implements Check
{
    public function code(): string
    {
        return 'level.balance';
    }

    public function findings(Inspection $in): iterable
    {
        $wanted = $in->rig->papers->measured(MeasureKind::VoiceOver);
        foreach ($wanted === [] ? [] : $in->rig->listeners as $listener) {
            $target = $wanted["listeners/{$listener->id}"] ?? null;
            $weighed = $target === null ? null : new VoiceBalance($in->base(), $listener);
            foreach ($weighed->rows ?? [] as $row) {
                if ($row['under'] !== null && $row['under'] < $target) {
                    yield new Finding(
                        $this->code(),
                        Severity::Risk,
                        "{$row['pair']->source->name} is ".self::against($row['under'])." the voice at {$listener->name}, and {$target} dB "
                            .'are wanted',
                        'It covers the voice. Turn it down there by '.number_format($target - $row['under'], 1).' dB.',
                        [$row['pair']->source->origins[0]->at, ...$listener->at],
                        [],
                        $this->proposals($in, $row['pair'], $row['under'] - $target),
                    );
                }
            }
        }
    }

    private static function against(float $under): string
    {
        return number_format(abs($under), 1).' dB '.($under >= 0 ? 'under' : 'over');
    }

    /** @return list<Proposal> levels that are this listener's own */
    private function proposals(Inspection $in, HeardPair $pair, float $louder): array
    {
        $situation = $in->rig->base()->id;
        $proposals = [];
        foreach (NoOwnLevel::controls($in->rig, $in->field($situation), $pair) as [$at, $sources, $listeners]) {
            foreach ($listeners === [$pair->listener] && $sources === [$pair->source] ? $pair->arrivals()[0]->hops ?? [] : [] as $hop) {
                $proposal = $hop->at === $at ? Turning::by($in, $situation, $hop, $louder) : null;
                if ($proposal !== null) {
                    $proposals[] = $proposal;
                }
            }
        }

        return array_slice($proposals, 0, 2);
    }
}
