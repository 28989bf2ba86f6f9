<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Pick;

/** A pick takes a device that its program is offered. */
final class PickRule implements Rule
{
    public function reads(): array
    {
        return ['picks', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        $seen = [];
        foreach ($in->parts->picks as $i => $pick) {
            $at = (string) $pick->at;
            if (isset($seen[$at])) {
                $in->problem("/picks/{$i}/at", "\"{$at}\" has its pick at /picks/{$seen[$at]} already.");
            }
            $seen[$at] = $i;
            self::pick($in, $pick, "/picks/{$i}");
        }
    }

    public static function pick(Fit $in, Pick $pick, string $pointer): void
    {
        $point = $in->pointAt($pick->at, "{$pointer}/at");
        if ($point === null) {
            return;
        }
        if ($point->picks === null) {
            $in->problem("{$pointer}/at", "\"{$point->label}\" takes no device.");

            return;
        }
        if ($pick->tap === Direction::Recording || ($pick->tap !== null && $point->picks === Direction::Playback)) {
            $in->problem("{$pointer}/tap", 'Only an in can tap, and only what the system sends to a playback device: "playback".');
        }
        if ($pick->channels !== null && count($pick->channels) > $point->channels) {
            $in->problem("{$pointer}/channels", "\"{$point->label}\" takes only ".Count::of($point->channels, 'channel').'.');
        }
        if ($point->deviceOf !== null) {
            if ($pick->device !== null || $pick->default !== null || $pick->also !== [] || $pick->tap !== null) {
                $giver = $in->parts->models[$in->units[$pick->at->unit]->model]->points[$point->deviceOf]->label ?? $point->deviceOf;
                $in->problem($pointer, "\"{$point->label}\" takes the device of \"{$giver}\": it has \"channels\" only.");
            } elseif ($pick->channels === null) {
                $in->problem($pointer, "Say which \"channels\" of its device \"{$point->label}\" takes.");
            }

            return;
        }
        if ($pick->device === null && $pick->default === null) {
            $in->problem($pointer, 'A pick names a "device", or follows a "default": system or call.');

            return;
        }
        self::offered($in, $pick, $point, $pointer);
        if ($pick->device === null) {
            return;
        }
        $offer = $in->offerAt($pick->device, "{$pointer}/device");
        self::ofThisComputer($in, $pick, $pick->device, "{$pointer}/device");
        $wanted = $pick->tap ?? $point->picks;
        if ($offer !== null && $offer->direction !== $wanted) {
            $in->problem(
                "{$pointer}/device",
                "\"{$point->label}\" takes a {$wanted->value} device; \"{$pick->device}\" is for {$offer->direction->value}.",
            );
        }
        $width = $offer === null ? null : $in->deviceWidth($pick->device);
        if ($width !== null && $pick->channels !== null && $pick->channels !== [] && max($pick->channels) > $width) {
            $in->problem("{$pointer}/channels", 'The device has only '.Count::of($width, 'channel').'.');
        }
    }

    /** What is plugged can be plugged elsewhere; a computer's own sockets and what is installed there can't. */
    private static function ofThisComputer(Fit $in, Pick $pick, DeviceRef $device, string $pointer): void
    {
        $program = $in->units[$pick->at->unit] ?? null;
        $giver = $in->units[$device->unit] ?? null;
        $gives = $giver === null ? null : ($in->parts->models[$giver->model] ?? null);
        if ($program !== null && $giver !== null && $gives !== null && $program->place !== $giver->place
            && ($gives->family->isHost() || $gives->isProgram())) {
            $in->fault(
                $pointer,
                "elsewhere {$pick->at} {$device}",
                "{$giver->name} is not on the computer of {$program->name}: a program takes the devices of its own computer only.",
            );
        }
    }

    /** Whether the program lets one choose what is picked there, and as many devices at once. */
    private static function offered(Fit $in, Pick $pick, Point $point, string $pointer): void
    {
        $from = $pick->device === null
            ? PickFrom::Defaults
            : $pick->device->pickFrom($pick->tap !== null && $point->picks === Direction::Recording);
        if (! $point->offers($from)) {
            $offered = implode(', ', array_map(fn (PickFrom $one) => $one->words(), $point->pickFrom));
            $in->fault(
                "{$pointer}/".($pick->device === null ? 'default' : 'device'),
                "offered {$pick->at} ".($pick->device ?? $pick->default->value ?? ''),
                "\"{$point->label}\" does not offer {$from->words()}, only {$offered}.",
            );
        }
        if (count($pick->also) >= $point->several && $pick->also !== []) {
            $in->problem("{$pointer}/also", "\"{$point->label}\" takes ".Count::of($point->several, 'device').' at once.');
        }
        $seen = [(string) $pick->device => true];
        foreach ($pick->also as $a => $device) {
            $offer = $in->offerAt($device, "{$pointer}/also/{$a}");
            if ($offer !== null && $offer->direction !== ($pick->tap ?? $point->picks)) {
                $in->problem("{$pointer}/also/{$a}", "This is a {$offer->direction->value} device.");
            }
            if (isset($seen[(string) $device])) {
                $in->problem("{$pointer}/also/{$a}", 'This device is named already.');
            }
            $seen[(string) $device] = true;
            self::ofThisComputer($in, $pick, $device, "{$pointer}/also/{$a}");
            if ($pick->device !== null && ! $point->offers($device->pickFrom($pick->tap !== null))) {
                $in->problem("{$pointer}/also/{$a}", "\"{$point->label}\" does not offer this device.");
            }
        }
    }
}
