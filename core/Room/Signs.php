<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Readings;

/** All that ears and meters tell of a rig in one situation, each sound playing by itself. */
final readonly class Signs
{
    /** @var array<string, Impression> by "hear source listener"; what is not there is not heard */
    public array $heard;

    /** @var array<string, int> dB against the sound's own level, by "read unit/meter source"; what is not there does not move */
    public array $read;

    public function __construct(private Hearing $hearing)
    {
        $heard = $read = [];
        foreach ($hearing->all() as $pair) {
            if (Impression::of($pair) !== Impression::Nothing) {
                $heard[self::hear($pair)] = Impression::of($pair);
            }
        }
        $readings = new Readings($hearing->graph());
        $rig = $hearing->rig;
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->meters as $meter) {
                foreach ($readings->of($unit, $meter) as $source => $db) {
                    $read["read {$unit->id}/{$meter->id} {$source}"] = (int) round($db);
                }
            }
        }
        $this->heard = $heard;
        $this->read = $read;
    }

    /** What a check answers as planned: an {@see Impression}, a {@see Deflection} or a {@see Presence}. */
    public function answer(string $check): string
    {
        return match (true) {
            str_starts_with($check, 'hear ') => ($this->heard[$check] ?? Impression::Nothing)->value,
            str_starts_with($check, 'list ') => Presence::There->value,
            default => Deflection::AsPlanned->value,
        };
    }

    /**
     * What ears and meters answer otherwise in another room, where these are the signs of the plan.
     *
     * @param  Hearing  $there  made like the plan's
     * @return array<string, string> by check
     */
    public function against(Hearing $there): array
    {
        $differing = [];
        foreach ($there->differing($this->hearing) as [$was, $is]) {
            if (Impression::of($is) !== Impression::of($was)) {
                $differing[self::hear($is)] = Impression::of($is)->value;
            }
        }
        $readings = new Readings($there->graph());
        $rig = $there->rig;
        foreach ($rig->sources as $source) {
            foreach ($there->isAsBefore($source) ? [] : $rig->units as $unit) {
                foreach ($rig->modelOf($unit)->meters as $meter) {
                    $check = "read {$unit->id}/{$meter->id} {$source->id}";
                    $db = $readings->ofSource($unit, $meter, $source);
                    $deflection = Deflection::of($db === null ? null : (int) round($db), $this->read[$check] ?? null);
                    if ($deflection !== Deflection::AsPlanned) {
                        $differing[$check] = $deflection->value;
                    }
                }
            }
        }

        return $differing;
    }

    /**
     * Devices that the plan has and a computer's list of another room has not.
     *
     * @return array<string, string> by "list computer device"
     */
    public function unlisted(Hearing $there): array
    {
        $gone = [];
        foreach ($this->hearing->graph()->devices->all() as $computer => $devices) {
            $is = $there->graph()->devices->of((string) $computer);
            foreach ($devices as $ref => $device) {
                if ($device->isUsable() && ! (isset($is[$ref]) && $is[$ref]->isUsable())) {
                    $gone["list {$computer} {$ref}"] = Presence::Gone->value;
                }
            }
        }

        return $gone;
    }

    private static function hear(HeardPair $pair): string
    {
        return "hear {$pair->source->id} {$pair->listener->id}";
    }
}
