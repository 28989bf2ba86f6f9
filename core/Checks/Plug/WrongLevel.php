<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Joint;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Signal\Headroom;

/** A signal into an input that is made for another: microphone and line, headphones and line, loudspeakers, professional and consumer. */
final readonly class WrongLevel implements Check
{
    /** Inputs to which a lead could be moved that are proposed. */
    private const PROPOSED = 2;

    public function code(): string
    {
        return 'plug.level';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->joints->analog() as $joint) {
            // A computer's own green socket drives headphones as well as a line.
            $isOwn = $joint->takes === SignalKind::Headphone && $in->rig->modelOf($joint->from->unit)->family->isHost();
            $judged = $joint->isPassed || $isOwn ? null : self::judge($joint->gives, $joint->takes);
            if ($judged !== null) {
                if ($joint->takes === SignalKind::Microphone && $this->arrivesSoftly($in, $joint)) {
                    continue;
                }
                [$severity, $why] = $judged;
                yield new Finding(
                    $this->code(),
                    $severity,
                    "{$joint->cable->label}: {$in->names->of($joint->from)} gives ".self::words($joint->gives)
                        .", {$in->names->of($joint->to)} is for ".self::words($joint->takes),
                    $why,
                    [new CableRef($joint->cable->id), $joint->from, $joint->to],
                    [],
                    $severity === Severity::Note ? [] : $this->moves($in, $joint),
                );
            }
        }
    }

    /** Whether what is sent there is turned down so far that a microphone input takes its peaks. */
    private function arrivesSoftly(Inspection $in, Joint $joint): bool
    {
        $loudest = null;
        foreach ($in->each() as $situation => $_) {
            foreach ($in->field($situation)->levelsAt(new PointRef($joint->from->unit, $joint->outLane->point)) as $db) {
                $loudest = max($loudest ?? -INF, $db);
            }
        }
        $takes = $joint->in->maxDbu ?? Chain::MICROPHONE_MAX_DBU;

        return $loudest !== null && Headroom::nominal($joint->out, $joint->gives) + $loudest + Chain::CREST_DB <= $takes;
    }

    /** @return list<Proposal> free inputs of the same unit that are made for what comes */
    private function moves(Inspection $in, Joint $joint): array
    {
        $proposals = [];
        foreach ($in->rig->modelOf($joint->to->unit)->sockets as $socket) {
            $to = new SocketRef($joint->to->unit, $socket->id);
            $takes = array_filter($socket->lanesGoing(Way::In), fn (Lane $lane) => self::judge($joint->gives, $lane->signal) === null);
            if ($takes !== [] && $in->wiring->at($to) === [] && Mating::cable($joint->out, $socket) !== null) {
                $proposals[] = new Proposal(
                    "Move {$joint->cable->label} to {$in->names->of($to)}",
                    [new Replug($joint->cable->id, (string) $joint->cable->from === (string) $joint->to, $to)],
                    Cost::REPLUG,
                );
            }
        }

        return array_slice($proposals, 0, self::PROPOSED);
    }

    /** @return array{Severity, string}|null how bad it is and why; null where the two are made for each other */
    public static function judge(SignalKind $gives, SignalKind $takes): ?array
    {
        $isLine = fn (SignalKind $kind): bool => in_array($kind, [SignalKind::ConsumerLine, SignalKind::ProfessionalLine], true);

        return match (true) {
            $gives === $takes => null,
            $gives === SignalKind::Loudspeaker => [Severity::Fault,
                'An amplifier gives some 20 V and more: it can destroy the input. Take the signal before the amplifier.'],
            $takes === SignalKind::Loudspeaker => [Severity::Fault, 'A loudspeaker needs an amplifier: nothing else moves it.'],
            $gives === SignalKind::Microphone && $isLine($takes) => [Severity::Fault,
                'A microphone is 40 to 60 dB too quiet for a line input. It needs a preamp.'],
            $gives === SignalKind::Microphone => [Severity::Fault, 'It is far too quiet there. It needs a preamp.'],
            $isLine($gives) && $takes === SignalKind::Microphone => [Severity::Risk,
                'A line is 40 to 60 dB too loud for a microphone input: it distorts at any gain. Take a line input or a pad, or set the '
                    .'input to line.'],
            $gives === SignalKind::Headphone && $takes === SignalKind::Microphone => [Severity::Risk,
                'It distorts unless the headphones are turned almost off, and hisses then. Take a line input.'],
            $gives === SignalKind::Headphone && $isLine($takes) => [Severity::Note,
                'It works: the headphone volume sets the level, and whoever turns it changes what others hear. Write down where it '
                    .'stands.'],
            $isLine($gives) && $takes === SignalKind::Headphone => [Severity::Risk,
                'A line output can\'t drive headphones: quiet, and thin. Take a headphone output.'],
            $gives === SignalKind::ProfessionalLine && $takes === SignalKind::ConsumerLine => [Severity::Note,
                'It comes 12 dB too hot (+4 dBu into -10 dBV). Turn the output down, or take a pad.'],
            $gives === SignalKind::ConsumerLine && $takes === SignalKind::ProfessionalLine => [Severity::Note,
                'It comes 12 dB too quiet (-10 dBV into +4 dBu), and some noise with the gain that makes up for it.'],
            $takes === SignalKind::Instrument => null,
            $gives === SignalKind::Instrument => [Severity::Risk,
                'An instrument needs an input of a million ohms: elsewhere it is quiet and dull.'],
            default => null,
        };
    }

    private static function words(SignalKind $kind): string
    {
        return match ($kind) {
            SignalKind::Microphone => 'a microphone', SignalKind::Instrument => 'an instrument',
            SignalKind::ConsumerLine => 'consumer line',
            SignalKind::ProfessionalLine => 'professional line', SignalKind::Headphone => 'headphones',
            SignalKind::Loudspeaker => 'loudspeakers', default => str_replace('-', ' ', $kind->value),
        };
    }
}
