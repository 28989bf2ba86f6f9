<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;

/** The points of a rig at which sounds can begin, or somebody can listen; those that fit first. */
final class Places
{
    /** @return array<string, string> what they are called, by reference; those where nothing else begins, and of its kind, in front */
    public static function starts(Rig $rig, ?Source $source = null): array
    {
        return array_merge(...self::of($rig, PointKind::Origin, self::startsTaken($rig), self::starting($source)));
    }

    /** @return array<string, string> what they are called, by reference; those where nobody else listens, and of their kind, in front */
    public static function ears(Rig $rig, ?Listener $listener = null): array
    {
        return array_merge(...self::of($rig, PointKind::Ear, self::earsTaken($rig), self::listening($listener)));
    }

    /**
     * Where each sound that has no starting point likely starts, one place each: of those that fit the one that is called like it, else the
     * first.
     *
     * @return array<string, string> references, by the sound's id; none for a sound that nothing fits
     */
    public static function likelyStarts(Rig $rig): array
    {
        return self::likely(
            array_filter($rig->sources, fn (Source $one) => $one->origins === []),
            self::startsTaken($rig),
            fn (Source $source, array $taken): array => self::of($rig, PointKind::Origin, $taken, self::starting($source))[0],
        );
    }

    /**
     * Where each listener that has no place likely listens, as for sounds.
     *
     * @return array<string, string> references, by the listener's id
     */
    public static function likelyEars(Rig $rig): array
    {
        return self::likely(
            array_filter($rig->listeners, fn (Listener $one) => $one->at === []),
            self::earsTaken($rig),
            fn (Listener $listener, array $taken): array => self::of($rig, PointKind::Ear, $taken, self::listening($listener))[0],
        );
    }

    /** The only place that fits a sound of a kind, where nothing else starts there; null where there is none, or several. */
    public static function onlyStart(Rig $rig, SourceKind $kind): ?string
    {
        return self::only(
            self::of($rig, PointKind::Origin, [], self::starting(new Source('', '', $kind)))[0],
            self::startsTaken($rig),
        );
    }

    public static function onlyEar(Rig $rig, ListenerKind $kind): ?string
    {
        return self::only(
            self::of($rig, PointKind::Ear, [], self::listening(new Listener('', '', $kind)))[0],
            self::earsTaken($rig),
        );
    }

    /** Whether a guest of a service, or somebody else elsewhere, is nobody yet. */
    public static function hasFreeService(Rig $rig): bool
    {
        return self::freeAtService($rig, PointKind::Ear) !== null;
    }

    /** The first point of somebody elsewhere at which nobody listens, or nothing starts; null where all are taken. */
    public static function freeAtService(Rig $rig, PointKind $kind): ?PointRef
    {
        $taken = $kind === PointKind::Ear ? self::earsTaken($rig) : self::startsTaken($rig);
        $free = self::of($rig, $kind, $taken, fn (Family $family): bool => $family->isRemote())[0];
        [$unit, $point] = [...explode('/', (string) array_key_first($free), 2), ''];

        return $free === [] ? null : new PointRef($unit, $point);
    }

    /** Whether a sound or listener needs a service that is not there: somebody who calls, with no guest free. */
    public static function lacksService(Rig $rig, Source|Listener $one): bool
    {
        $calls = $one instanceof Source
            ? $one->kind === SourceKind::Caller
            : in_array($one->kind, [ListenerKind::Caller, ListenerKind::Team], true);

        return $calls && ! self::hasFreeService($rig);
    }

    /**
     * @param  array<string, string>  $fit  by reference
     * @param  array<string, true>  $taken
     */
    private static function only(array $fit, array $taken): ?string
    {
        $at = (string) array_key_first($fit);

        return count($fit) === 1 && ! isset($taken[$at]) ? $at : null;
    }

    /** @return array<string, true> */
    private static function startsTaken(Rig $rig): array
    {
        $taken = [];
        foreach ($rig->sources as $one) {
            $taken += array_fill_keys(array_map(fn (Origin $origin) => (string) $origin->at, $one->origins), true);
        }

        return $taken;
    }

    /** @return array<string, true> */
    private static function earsTaken(Rig $rig): array
    {
        $taken = [];
        foreach ($rig->listeners as $one) {
            $taken += array_fill_keys(array_map(strval(...), $one->at), true);
        }

        return $taken;
    }

    /** @return \Closure(Family): bool */
    private static function starting(?Source $source): \Closure
    {
        return fn (Family $family): bool => match ($source?->kind) {
            SourceKind::Voice => $family->hasMicrophone(),
            SourceKind::Caller => $family->isRemote(),
            SourceKind::Ring => $family === Family::Call,
            SourceKind::Console => $family === Family::Console,
            SourceKind::Instrument => $family === Family::Instrument,
            SourceKind::Music => $family === Family::Player || $family === Family::Instrument,
            null => true,
            default => $family === Family::Player,
        };
    }

    /** @return \Closure(Family): bool */
    private static function listening(?Listener $listener): \Closure
    {
        return fn (Family $family): bool => match ($listener?->kind) {
            ListenerKind::Headphones => in_array($family, [Family::Headphones, Family::Headset], true),
            ListenerKind::Speakers => in_array($family, [Family::Loudspeaker, Family::Monitor], true),
            ListenerKind::Stream => $family === Family::Broadcast,
            ListenerKind::Track => in_array($family, [Family::Broadcast, Family::Recorder], true),
            ListenerKind::Caller => in_array($family, [Family::CallService, Family::Remote], true),
            default => true,
        };
    }

    /**
     * @template T of Source|Listener
     *
     * @param  array<string, T>  $things
     * @param  array<string, true>  $taken
     * @param  \Closure(T, array<string, true>): array<string, string>  $fit  free places that fit, by reference
     * @return array<string, string> references, by the thing's id
     */
    private static function likely(array $things, array $taken, \Closure $fit): array
    {
        $likely = [];
        foreach ($things as $thing) {
            $at = self::likeliest($thing->name, $fit($thing, $taken));
            if ($at !== null) {
                $likely[$thing->id] = $at;
                $taken[$at] = true;
            }
        }

        return $likely;
    }

    /** @param  array<string, string>  $fit  names of places, by reference */
    private static function likeliest(string $name, array $fit): ?string
    {
        $words = fn (string $text): array => array_values(array_filter(
            (array) preg_split('/[^\p{L}\d]+/u', mb_strtolower($text)),
            fn ($word) => mb_strlen((string) $word) > 2,
        ));
        $like = array_map(fn (string $place): int => count(array_intersect($words($name), $words($place))), $fit);
        arsort($like);

        return $like === [] ? null : (string) array_key_first($like);
    }

    /**
     * @param  array<string, true>  $taken  references of what is used already
     * @param  \Closure(Family): bool  $fits
     * @return array{array<string, string>, array<string, string>} those that are free and fit, and the others
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

        return [$best, $other];
    }
}
