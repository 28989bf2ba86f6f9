<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;

/** The points of a rig at which sounds can begin, or somebody can listen; those that fit first. */
final class Places
{
    /** @return array<string, string> what they are called, by reference; those where nothing else begins, and of its kind, in front */
    public static function starts(Rig $rig, ?Source $source = null): array
    {
        $taken = [];
        foreach ($rig->sources as $one) {
            foreach ($one->origins as $origin) {
                $taken[(string) $origin->at] = true;
            }
        }

        return self::of($rig, PointKind::Origin, $taken, fn (Family $family): bool => match ($source?->kind) {
            SourceKind::Voice => $family->hasMicrophone(),
            SourceKind::Caller, SourceKind::Ring => in_array($family, [Family::CallService, Family::Remote, Family::Call], true),
            SourceKind::Console => $family === Family::Console,
            null => true,
            default => $family === Family::Player,
        });
    }

    /** @return array<string, string> what they are called, by reference; those where nobody else listens, and of their kind, in front */
    public static function ears(Rig $rig, ?Listener $listener = null): array
    {
        $taken = [];
        foreach ($rig->listeners as $one) {
            $taken += array_fill_keys(array_map(strval(...), $one->at), true);
        }

        return self::of($rig, PointKind::Ear, $taken, fn (Family $family): bool => match ($listener?->kind) {
            ListenerKind::Headphones => in_array($family, [Family::Headphones, Family::Headset], true),
            ListenerKind::Speakers => in_array($family, [Family::Loudspeaker, Family::Monitor], true),
            ListenerKind::Stream => $family === Family::Broadcast,
            ListenerKind::Track => in_array($family, [Family::Broadcast, Family::Recorder], true),
            ListenerKind::Caller => in_array($family, [Family::CallService, Family::Remote], true),
            default => true,
        });
    }

    /**
     * @param  array<string, true>  $taken  references of what is used already
     * @param  \Closure(Family): bool  $fits
     * @return array<string, string>
     */
    private static function of(Rig $rig, PointKind $kind, array $taken, \Closure $fits): array
    {
        $best = $other = [];
        foreach ($rig->units as $unit) {
            $model = $rig->modelOf($unit);
            foreach ($model->points as $point) {
                $ref = "{$unit->id}/{$point->id}";
                if ($point->kind !== $kind) {
                    continue;
                }
                $name = $point->label === $unit->name ? $unit->name : "{$unit->name}: {$point->label}";
                if ($fits($model->family) && ! isset($taken[$ref])) {
                    $best[$ref] = $name;
                } else {
                    $other[$ref] = $name;
                }
            }
        }

        return $best + $other;
    }
}
