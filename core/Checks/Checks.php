<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

/** Every check. Findings about one thing in several situations are reported once. */
final class Checks
{
    /** Most findings of one check that are reported: a rig that has more has one trouble, not hundreds. */
    public const OF_ONE = 60;

    /** @return list<Check> a new one is a line here */
    public static function all(): array
    {
        return [
            new Hear\OwnReturn,
            new Hear\SoundLoop,
            new Hear\AirLoop,
            new Hear\Merged,
            new Hear\NoOwnLevel,
            new Hear\SecondMicrophone,
            new Plug\Mismatch,
            new Plug\WrongDirection,
            new Plug\WrongLevel,
            new Plug\StereoBalanced,
            new Plug\JoinedOutputs,
            new Plug\WrongPhantom,
            new Plug\Taken,
            new Plug\Length,
            new Plug\Loose,
            new Plug\Power,
            new Plug\DigitalFormat,
            new Ground\GroundLoop,
            new Ground\IsolatorPlace,
            new Computer\Defaults,
            new Computer\Unavailable,
            new Computer\SameName,
            new Computer\Format,
            new Computer\DriverModes,
            new Computer\Clocks,
            new Computer\Needs,
            new Computer\Channels,
            new Computer\OneDevice,
            new Computer\OneProgram,
            new Computer\Loopback,
            new Track\Purity,
            new Track\CardSpace,
            new Level\Clip,
            new Level\NoHeadroom,
            new Level\Low,
            new Level\GainShort,
            new Level\UnevenBalance,
            new Level\Unmatched,
            new Level\Ducked,
            new Level\GateThreshold,
            new Time\Sync,
            new Time\Monitor,
            new Time\Bluetooth,
            new Show\Forgotten,
            new Control\Mislabelled,
            new Control\Lacking,
            new Show\SinglePoint,
        ];
    }

    /** What checks are of, by their code: "level" of "level.clip". */
    public static function kind(string $code): string
    {
        return (string) strstr($code, '.', true);
    }

    /** @return list<Finding> the worst first, without cures */
    public static function findings(Inspection $in): array
    {
        $findings = [];
        foreach (self::all() as $check) {
            array_push($findings, ...self::of($check, $in));
        }
        usort($findings, fn (Finding $a, Finding $b) => $a->severity->rank() <=> $b->severity->rank());

        return $findings;
    }

    /**
     * @param  int  $most  findings after which no more are looked for
     * @return list<Finding> of one check, each thing once with all situations in which it is so
     */
    public static function of(Check $check, Inspection $in, int $most = self::OF_ONE): array
    {
        $found = [];
        foreach ($check->findings($in) as $finding) {
            $same = $found[$finding->key()] ?? null;
            if ($same === null) {
                $found[$finding->key()] = $finding;
            } elseif ($same->situations !== []) {
                $found[$finding->key()] = $same->with(
                    situations: array_values(array_unique([...$same->situations, ...$finding->situations])),
                );
            }
            if (count($found) >= $most) {
                break;
            }
        }

        return array_values($found);
    }
}
