<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SettingRef;
use HiddenWire\Core\Rig\SituationRef;

/** A reference to what a control can move: a point, a route or a named setting of a unit, or a situation to go to. */
final readonly class Part implements Type
{
    private const LONGEST = 260;

    private const FORM = 'unit/point, unit/from>to, unit/settings/setting, or situations/situation';

    public function read(mixed $value, Reading $in): PointRef|RouteRef|SettingRef|SituationRef|null
    {
        return (is_string($value) && strlen($value) <= self::LONGEST ? self::of($value) : null)
            ?? $in->problem('This has to be a reference of the form '.self::FORM.'.');
    }

    /** Null where the text is no such reference. */
    public static function of(string $text): PointRef|RouteRef|SettingRef|SituationRef|null
    {
        $tokens = explode('/', $text);

        return match (true) {
            in_array('', $tokens, true) => null,
            count($tokens) === 3 && $tokens[1] === SettingRef::INSIDE => new SettingRef($tokens[0], $tokens[2]),
            count($tokens) !== 2 => null,
            $tokens[0] === SituationRef::LIST => new SituationRef($tokens[1]),
            str_contains($tokens[1], '>') => new RouteRef($tokens[0], $tokens[1]),
            default => new PointRef($tokens[0], $tokens[1]),
        };
    }

    public function write(mixed $value, object $of): mixed
    {
        return (string) $value;
    }

    public function what(): string
    {
        return 'a reference of the form '.self::FORM;
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return $definitions->refer('part_reference', fn () => [
            'type' => 'string', 'maxLength' => self::LONGEST, 'pattern' => '^[^/]+/([^/]+|'.SettingRef::INSIDE.'/[^/]+)$',
            'description' => self::FORM,
        ]);
    }
}
