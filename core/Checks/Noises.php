<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Grounds\Grounds;
use HiddenWire\Core\Rig\SourceKind;

/** What noise a rig can make, by its kind, where it comes in, and what stops it. */
final readonly class Noises
{
    /** A voice with less signal-to-noise ratio than this hisses audibly in pauses. */
    private const HISS_DB = 45.0;

    /** @var list<array{kind: 'hum'|'hiss'|'whine', where: string, stops: string}> */
    public array $all;

    public function __construct(Inspection $in)
    {
        $this->all = [...$this->alongGrounds($in), ...$this->inComputers($in), ...$this->fromPreamps($in)];
    }

    /** @return list<array{kind: 'hum'|'hiss'|'whine', where: string, stops: string}> */
    private function alongGrounds(Inspection $in): array
    {
        $grounds = new Grounds($in->rig);
        $noises = [];
        foreach ($grounds->cycles as $cycle) {
            $computers = array_filter($cycle->units, fn (string $unit) => $in->rig->modelOf($unit)->family->isHost());
            $noises[] = [
                'kind' => $computers === [] ? 'hum' : 'whine',
                'where' => "{$cycle->closing->label}, along a ground loop".($computers === [] ? '' : ' with '
                    .$in->rig->units[array_values($computers)[0]]->name),
                'stops' => "an isolator at {$in->names->of($grounds->receivingEnd($cycle->closing))}",
            ];
        }

        return $noises;
    }

    /** @return list<array{kind: 'hum'|'hiss'|'whine', where: string, stops: string}> what a computer's own sockets bring in */
    private function inComputers(Inspection $in): array
    {
        $noises = [];
        $field = $in->field($in->rig->base()->id);
        foreach ($in->joints->analog() as $joint) {
            $isIn = $in->rig->modelOf($joint->to->unit)->family->isHost();
            $at = "{$joint->to->unit}/{$joint->inLane->point}";
            if ($isIn && $field->sourcesAt($at) !== [] && $field->listenersBehind($at) !== []) {
                $noises[$at] = [
                    'kind' => 'whine',
                    'where' => "{$in->names->of($joint->to)}, from inside the case",
                    'stops' => 'an interface outside it, or optical',
                ];
            }
        }

        // An isolator opens the loop; what a computer's own converter gives out with the sound goes through it.
        foreach ($in->joints->analog() as $joint) {
            $isOut = $in->rig->modelOf($joint->from->unit)->family->isHost()
                && $in->rig->modelOf($joint->to->unit)->family === Family::Isolator;
            $at = "{$joint->from->unit}/{$joint->outLane->point}";
            if ($isOut && $field->sourcesAt($at) !== [] && $field->listenersBehind($at) !== []) {
                $noises[$at] = [
                    'kind' => 'whine',
                    'where' => "{$in->names->of($joint->from)}, from inside the case: "
                        ."{$in->rig->units[$joint->to->unit]->name} behind it does not stop that",
                    'stops' => 'an interface outside it for this output',
                ];
            }
        }

        return array_values($noises);
    }

    private static function stops(string $noisiest): string
    {
        return match (true) {
            $noisiest === 'the room' => 'coming closer, or a quieter room',
            $noisiest === 'the microphone itself' => 'coming closer, or a microphone with less noise of its own',
            str_starts_with($noisiest, 'the preamp') => 'coming closer, a booster before it, or a quieter preamp',
            default => 'more level before it',
        };
    }

    /** @return list<array{kind: 'hum'|'hiss'|'whine', where: string, stops: string}> */
    private function fromPreamps(Inspection $in): array
    {
        $noises = [];
        foreach ($in->chains() as [$pair, $chain]) {
            if ($pair->source->kind === SourceKind::Voice && $chain->isFromCapsule && $chain->overNoise() < self::HISS_DB) {
                $noises[$pair->source->id] ??= [
                    'kind' => 'hiss',
                    'where' => "{$pair->source->name}, ".number_format($chain->overNoise(), 0).' dB above its noise, '
                        ."most of it from {$chain->noisiest}",
                    'stops' => self::stops($chain->noisiest),
                ];
            }
        }

        return array_values($noises);
    }
}
