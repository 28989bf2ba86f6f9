<?php

declare(strict_types=1);

namespace HiddenWire\Core\Levels;

use HiddenWire\Core\Equipment\Capsule;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\Headroom;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\SignalGraph;

/**
 * A sound stage by stage along its strongest way: in dBu on leads, in dBFS inside units, with its noise. A voice begins with the sound
 * pressure at the capsule; what has no capsule begins at nominal level, or as loud as somebody has measured.
 */
final class Chain
{
    /** Peaks of speech above its usual level: 10 to 14 dB, by voice and microphone; a default of ours. */
    public const CREST_DB = 12.0;

    /** Where the usual level is to be inside: peaks then stand at half of the scale. EBU R 68. */
    public const TARGET_DBFS = -Headroom::USUAL_DB;

    /** One pascal. */
    private const PASCAL_DB = 94.0;

    private const DBU_VOLT = 0.775;

    /** Noise of 200 ohms over 20 kHz at room temperature. */
    private const RESISTOR_DBU = -129.6;

    /** A converter of today. */
    private const CONVERTER_DBFS = -110.0;

    /** A preamp where its unit says nothing. */
    private const EIN_DBU = -125.0;

    /** A microphone that has electronics, or noise of its own, hangs on an arm; others are held close. Metres. */
    private const ON_AN_ARM_M = 0.15;

    private const CLOSE_M = 0.05;

    /** A preamp with its gain all the way down, where its unit says nothing. */
    public const MICROPHONE_MAX_DBU = 12.0;

    /** Ohms, where units say nothing. */
    private const OUTPUT_OHM = ['microphone' => 200.0, 'headphone' => 10.0];

    private const LINE_OUTPUT_OHM = 150.0;

    private const INPUT_OHM = ['microphone' => 3000.0, 'headphone' => 32.0, 'instrument' => 1_000_000.0];

    private const LINE_INPUT_OHM = 10_000.0;

    /** @var list<Stage> */
    public readonly array $stages;

    /** Inside the last unit that is no passive one, dBFS. */
    public readonly float $end;

    /** The noise there, dBFS. */
    public readonly float $endFloor;

    /** What most of that noise comes from: "the room", "the preamp of Desk mixer · Mic 1". */
    public readonly string $noisiest;

    /** The preamp: the first gain behind the microphone; null where there is none. */
    public readonly ?Preamp $preamp;

    /** Whether it begins with a capsule whose sensitivity is known. */
    public readonly bool $isFromCapsule;

    /** Whether it begins with a microphone of which nothing is known: how loud it is then, is a guess. */
    public readonly bool $isGuessed;

    /** @var list<array{hop: Hop, level: float, floor: float}> effects that it passes, with level and noise as they come in, dBFS */
    public readonly array $effects;

    private readonly Rig $rig;

    private readonly Wiring $wiring;

    /**
     * @param  float  $boost  dB of a booster that is thought to be in the first lead
     */
    private function __construct(private readonly SignalGraph $graph, HeardPair $pair, Arrival $arrival, private readonly float $boost)
    {
        $this->rig = $graph->rig;
        $this->wiring = $graph->wiring();
        $names = new Names($this->rig);
        $origin = $arrival->hops[0];
        $at = $origin->at instanceof PointRef ? $origin->at : $arrival->ear;
        $capsule = $this->capsule($at, $arrival);
        $isAnalog = $capsule !== null && self::leavesByLead($arrival);
        $this->isFromCapsule = $capsule !== null;
        $this->isGuessed = $capsule === null && ! $pair->source->isMeasured && $this->rig->modelOf($at->unit)->family->hasMicrophone();
        $level = $capsule === null
            ? self::TARGET_DBFS + ($pair->source->loudness?->value() ?? 0.0) + $origin->level->value()
            : $this->pressure($pair, $at) + $origin->level->value() + self::of94($capsule, $isAnalog);
        $noise = $capsule === null ? new Noise(['a converter' => self::CONVERTER_DBFS]) : new Noise([
            'the room' => $this->roomNoise($at) + self::of94($capsule, $isAnalog),
            'the microphone itself' => (new Noise([
                'its resistance' => self::RESISTOR_DBU + self::of94($capsule, $isAnalog) - self::ofPascal($capsule),
                ...($capsule->noiseDb === null ? [] : ['its electronics' => $capsule->noiseDb + self::of94($capsule, $isAnalog)]),
            ]))->db(),
        ]);
        $max = $capsule?->maxDb === null ? null : $capsule->maxDb + self::of94($capsule, $isAnalog);
        $stages = [new Stage($origin, $names->of($at), $isAnalog, $level, $isAnalog ? $max : 0.0, $noise->db())];
        [$end, $endNoise, $preamp, $unit, $effects] = [$level, $noise, null, $at->unit, []];
        foreach (array_slice($arrival->hops, 1) as $hop) {
            // What a microphone's model has as a loss is in its sensitivity.
            if ($capsule !== null && isset($hop->at->unit) && $hop->at->unit === $at->unit && $hop->kind === HopKind::Route) {
                continue;
            }
            $isLead = $hop->kind === HopKind::Cable && $hop->realm === Realm::Analog && $hop->at instanceof CableRef;
            if ($isLead) {
                [$level, $noise, $isAnalog, $stage] = $this->alongLead(
                    $hop,
                    $unit,
                    $names,
                    $level,
                    $noise,
                    $isAnalog,
                    count($stages) === 1,
                );
                $stages[] = $stage;
                $unit = $this->otherEnd($hop, $unit);
            } else {
                $unit = $hop->pick->unit ?? $hop->at->unit ?? $unit;
                // A compressor takes of what is loud; what is soft, the room among it, comes up by its make-up gain.
                $effect = $hop->effect === null || $isAnalog ? null : $this->rig->units[$unit]->effect($hop->effect);
                [$gain, $lift] = $effect === null ? [$hop->gain->value(), $hop->gain->value()]
                    : [$effect->gainAt($level), $effect->liftOfQuiet()];
                $effects = $effect === null ? $effects
                    : [...$effects, ['hop' => $hop, 'level' => $level, 'floor' => $noise->db()]];
                $level += $gain;
                $noise = $noise->louder($lift);
                if ($hop->kind === HopKind::Gain && $preamp === null && ! $isAnalog && $capsule !== null && $hop->at instanceof PointRef) {
                    $preamp = $this->preampAt($hop->at, $hop->gain, $level);
                }
                if ($gain !== 0.0 || $hop->kind === HopKind::Device) {
                    $isFloating = $hop->realm === Realm::Computer && $hop->kind !== HopKind::Device;
                    $max = $isAnalog || $isFloating ? null : 0.0;
                    $stages[] = new Stage($hop, $this->label($hop, $names), $isAnalog, $level, $max, $noise->db());
                }
            }
            if (! $isAnalog) {
                [$end, $endNoise] = [$level, $noise];
            }
        }
        $this->stages = $stages;
        $this->effects = $effects;
        $this->end = $end;
        $this->endFloor = $endNoise->db();
        $this->noisiest = $endNoise->most();
        $this->preamp = $preamp;
    }

    /** Null where the sound is not heard there. */
    public static function of(SignalGraph $graph, HeardPair $pair, float $boost = 0.0): ?self
    {
        $arrival = $pair->isHeard() ? $pair->arrivals()[0] ?? null : null;

        return $arrival === null ? null : new self($graph, $pair, $arrival, $boost);
    }

    /** Signal-to-noise ratio at its end, dB. */
    public function overNoise(): float
    {
        return $this->end - $this->endFloor;
    }

    /** dBu of a capsule at some sound pressure, less that pressure: 1.6 mV/Pa gives -53.7 dBu at 94 dB SPL, so -147.7. */
    public static function ofPascal(Capsule $capsule): float
    {
        return 20 * log10($capsule->mvPerPa / 1000 / self::DBU_VOLT) - self::PASCAL_DB;
    }

    /** What a load takes of a source's level: 20 log10(Zp / (Zs + Zp)), loads in parallel; dB. */
    public static function loaded(float $sourceOhm, float ...$loadsOhm): float
    {
        $parallel = 1 / array_sum(array_map(fn (float $ohm) => 1 / max(0.001, $ohm), $loadsOhm));

        return 20 * log10($parallel / ($sourceOhm + $parallel));
    }

    /**
     * What a capsule makes of sound pressure: dBu of its output, or where it has its converter in it, dBFS. There what it takes at most is
     * full scale, with its gain at 0 dB.
     */
    private static function of94(Capsule $capsule, bool $isAnalog): float
    {
        return $isAnalog ? self::ofPascal($capsule) : -(float) $capsule->maxDb;
    }

    /** Null where nothing is known of it, or where it has its converter in it and nobody has said what that takes. */
    private function capsule(PointRef $at, Arrival $arrival): ?Capsule
    {
        $capsule = $this->rig->point($at)->capsule;

        return $capsule?->maxDb === null && ! self::leavesByLead($arrival) ? null : $capsule;
    }

    /** Whether the first lead that a sound takes is an analog one. */
    private static function leavesByLead(Arrival $arrival): bool
    {
        foreach ($arrival->hops as $hop) {
            if ($hop->kind === HopKind::Cable || $hop->kind === HopKind::Device) {
                return $hop->kind === HopKind::Cable && $hop->realm === Realm::Analog;
            }
        }

        return true;
    }

    /** dB SPL at the capsule: what somebody talks with at one metre, closer by. */
    private function pressure(HeardPair $pair, PointRef $at): float
    {
        $papers = $this->rig->papers;
        $speech = $papers->measured(MeasureKind::Speech)["sources/{$pair->source->id}"] ?? MeasureKind::Speech->usual();
        $capsule = $this->rig->point($at)->capsule;
        $distance = $papers->measured(MeasureKind::Distance)["units/{$at->unit}/points/{$at->point}"]
            ?? ($capsule?->noiseDb === null ? self::CLOSE_M : self::ON_AN_ARM_M);

        return $speech - 20 * log10($distance);
    }

    private function roomNoise(PointRef $at): float
    {
        return (float) ($this->rig->papers->measured(MeasureKind::Noise)["places/{$this->rig->units[$at->unit]->place}"]
            ?? MeasureKind::Noise->usual());
    }

    /**
     * @return array{float, Noise, bool, Stage} level, noise, whether it is still on leads, and the stage at the input
     */
    private function alongLead(Hop $hop, string $unit, Names $names, float $level, Noise $noise, bool $isAnalog, bool $isFirst): array
    {
        [$from, $outLane, $to, $inLane] = $this->lane($hop, $unit);
        [$out, $in] = [$this->rig->socket($from), $this->rig->socket($to)];
        if (! $isAnalog) {
            $full = $out->maxDbu ?? Headroom::nominal($out, $outLane->signal) + Headroom::USUAL_DB;
            [$level, $noise] = [$level + $full, $noise->louder($full)];
        }
        $boost = $isFirst ? $this->boost : 0.0;
        $loss = $this->splitLoss($from, $to, $outLane, $inLane) + $hop->gain->value() + $boost;
        [$level, $noise] = [$level + $loss, $noise->louder($loss)];
        $isPassive = $this->isPassive($to->unit);
        $takes = $this->wiring->takes($this->rig->cables[$hop->ref], $to, $inLane);
        $max = self::maximum($in, $takes);
        $stage = new Stage($hop, $names->of($to), true, $level, $isPassive ? null : $max, $noise->db());
        if ($isPassive) {
            return [$level, $noise, true, $stage];
        }
        // Full scale inside is what comes in at the maximum with the gain all the way down.
        $own = $takes === SignalKind::Microphone
            ? ["the preamp of {$names->of($to)}", $in->einDbu ?? self::EIN_DBU]
            : ["the input {$names->of($to)}", $max + self::CONVERTER_DBFS];

        return [$level - $max, $noise->and(...$own)->louder(-$max), false, $stage];
    }

    /** @return array{SocketRef, Lane, SocketRef, Lane} what gives and what takes, from a unit on */
    private function lane(Hop $hop, string $unit): array
    {
        $cable = $this->rig->cables[$hop->ref];
        $lanes = array_values(array_filter(
            $this->wiring->lanesOf($cable),
            fn (array $lane) => $this->rig->socket($lane[0])->lanes[$lane[1]]->signal->isAnalog(),
        ));
        $here = array_values(array_filter($lanes, fn (array $lane) => $lane[0]->unit === $unit));
        [$from, $out, $to, $in] = $here[0] ?? $lanes[0];

        return [$from, $this->rig->socket($from)->lanes[$out], $to, $this->rig->socket($to)->lanes[$in]];
    }

    private function otherEnd(Hop $hop, string $unit): string
    {
        return $this->lane($hop, $unit)[2]->unit;
    }

    /** What an input takes with its gain all the way down, dBu: what its socket says, where it is used for what that is said of. */
    private static function maximum(Socket $in, SignalKind $takes): float
    {
        return match (true) {
            $in->signal === $takes && $in->maxDbu !== null => $in->maxDbu,
            $takes === SignalKind::Microphone => self::MICROPHONE_MAX_DBU,
            default => Headroom::nominal($in, $takes) + Headroom::USUAL_DB,
        };
    }

    /** What is lost more because a splitter's other outputs load the source, too; dB. */
    private function splitLoss(SocketRef $from, SocketRef $to, Lane $outLane, Lane $inLane): float
    {
        $model = $this->rig->modelOf($to->unit);
        if ($model->family !== Family::Splitter || ! $inLane->signal->isAnalog()) {
            return 0.0;
        }
        $loads = [];
        foreach ($model->sockets as $socket) {
            $here = new SocketRef($to->unit, $socket->id);
            foreach ($socket->id === $to->socket ? [] : $this->wiring->at($here) as $cable) {
                $loads[] = self::input($this->rig->socket($this->wiring->across($cable, $here)));
            }
        }
        $source = $this->rig->socket($from)->impedanceOhm ?? self::OUTPUT_OHM[$outLane->signal->value] ?? self::LINE_OUTPUT_OHM;

        return count($loads) < 2 ? 0.0 : self::loaded($source, ...$loads) - self::loaded($source, max($loads));
    }

    private static function input(Socket $socket): float
    {
        return $socket->impedanceOhm ?? self::INPUT_OHM[$socket->signal->value] ?? self::LINE_INPUT_OHM;
    }

    /** What hands a sound on as it is: its level stays that of a lead. */
    private function isPassive(string $unit): bool
    {
        return in_array($this->rig->modelOf($unit)->family, [
            Family::Isolator, Family::Splitter, Family::Adapter, Family::Booster, Family::Headphones, Family::Headset,
        ], true);
    }

    private function preampAt(PointRef $at, Decibels $now, float $level): ?Preamp
    {
        $span = $this->rig->point($at)->gain;

        return $span === null ? null : new Preamp($at, $span, $now, Decibels::of(round($now->value() + self::TARGET_DBFS - $level, 1)));
    }

    private function label(Hop $hop, Names $names): string
    {
        return $hop->kind === HopKind::Device || $hop->kind === HopKind::Effect || $hop->kind === HopKind::System
            ? $hop->label
            : $names->of($hop->at);
    }
}
