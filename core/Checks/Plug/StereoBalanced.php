<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Joint;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;

/**
 * A stereo plug in a balanced mono socket, a mono plug in a stereo socket, a balanced output in an unbalanced stereo input, a headset plug
 * in a socket without the microphone's ring.
 */
final readonly class StereoBalanced implements Check
{
    public function code(): string
    {
        return 'plug.stereo-balanced';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->joints->analog() as $joint) {
            $judged = $this->judge($in, $joint);
            if ($judged !== null) {
                yield $this->finding($in, $joint->cable, ...$judged)->with(proposals: $this->proposals($in, $joint->cable));
            }
        }
        foreach ($in->rig->cables as $cable) {
            if ($this->losesMicrophone($in, $cable)) {
                yield $this->finding(
                    $in,
                    $cable,
                    'a headset plug in a socket without a contact for the microphone',
                    'The sound comes through, the microphone does not. Take a headset splitter.',
                );
            }
        }
    }

    private function finding(Inspection $in, Cable $cable, string $what, string $why): Finding
    {
        return new Finding(
            $this->code(),
            Severity::Fault,
            "{$cable->label} between {$in->names->of($cable->from)} and {$in->names->of($cable->to)}: {$what}",
            $why,
            [new CableRef($cable->id), $cable->from, $cable->to],
        );
    }

    /** @return list<Proposal> the lead that such sockets are made for, where another is in */
    private function proposals(Inspection $in, Cable $cable): array
    {
        $type = Mating::cable($in->rig->socket($cable->from), $in->rig->socket($cable->to));

        return $type === null || $type === $cable->type ? [] : [new Proposal(
            "Take {$type->article()} {$type->words()} lead for {$cable->label}",
            [SetCable::like($cable->with(type: $type))],
            Cost::REPLUG,
        )];
    }

    /** @return array{string, string}|null what is the matter and why it matters, by the conductors at both ends */
    private function judge(Inspection $in, Joint $joint): ?array
    {
        $from = $in->rig->modelOf($joint->from->unit)->points[$joint->outLane->point];
        $out = count($joint->outLane->channels ?? range(1, $from->channels));
        $into = count($joint->inLane->channels ?? range(1, $in->rig->modelOf($joint->to->unit)->points[$joint->inLane->point]->channels));
        $hasRing = min($joint->cable->type->conductors(), $joint->out->connector->conductors(), $joint->in->connector->conductors()) >= 2;

        return match (true) {
            $out >= 2 && $joint->in->balanced && $hasRing => ['a stereo plug in a balanced mono input',
                'The input takes left minus right: what both have in common, every voice in the middle, cancels. Take a stereo Y-lead to '
                    .'two inputs.'],
            $out >= 2 && $into >= 2 && ! $joint->in->balanced && ! $hasRing => ['a mono plug or lead in a stereo connection',
                'The right side is lost. Take a stereo lead.'],
            $out === 1 && $into >= 2 && $joint->out->balanced && ! $joint->in->balanced && $hasRing => [
                'a balanced output in an unbalanced stereo input',
                'Left and right are the same sound with opposite polarity: in mono it cancels. Take a mono lead to both sides.'],
            // A computer's microphone socket is wide and takes one microphone.
            $out === 1 && $into >= 2 && ! $joint->out->balanced && ! $joint->in->balanced
                && $joint->takes !== SignalKind::Microphone => [
                    'a mono plug in a stereo input',
                    'It is heard on the left only. Take a lead from mono to both sides.'],
            default => null,
        };
    }

    /** Whether a headset's microphone ends at a plug with two rings in a socket without. */
    private function losesMicrophone(Inspection $in, Cable $cable): bool
    {
        foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$here, $there]) {
            $socket = $in->rig->socket($here);
            $talks = array_filter($socket->lanesGoing(Way::Out), fn ($lane) => $lane->signal === SignalKind::Microphone);
            $isHeadset = $socket->connector === Connector::Trrs35 && $talks !== [] && $socket->lanesGoing(Way::In) !== [];
            if ($isHeadset && in_array($in->rig->socket($there)->connector, [Connector::Trs35, Connector::Trs635], true)) {
                return true;
            }
        }

        return false;
    }
}
