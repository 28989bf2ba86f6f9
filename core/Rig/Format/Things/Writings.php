<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Custom;
use HiddenWire\Core\Rig\Format\Types\ElementPath;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Whole;
use HiddenWire\Core\Rig\Measure;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\Reason;
use HiddenWire\Core\Rig\ShowStep;

/** What is written down with a rig. */
final class Writings
{
    /** Hexadecimal digits by which a finding is known again. */
    private const EVIDENCE = 16;

    public static function reason(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Reason::class, 'reason', [
            Field::of('about', new ElementPath)->needed(),
            Field::of('why', Text::upTo(Bounds::WHY)),
            Field::of('leave_alone', new Flag)->usual(false),
        ])->knownBy('about')->rule(fn (array $reason, Reading $in) => trim($reason['why']) === '' && ! $reason['leaveAlone']
            ? $in->problem('A reason says why, or "leave_alone", or both.', 'why') : null)
            ->saying(['anyOf' => [
                ['required' => ['why'], 'properties' => ['why' => ['pattern' => '\S']]],
                ['required' => ['leave_alone'], 'properties' => ['leave_alone' => ['const' => true]]],
            ]]));
    }

    public static function step(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(ShowStep::class, 'step', [
            Field::of('id', new Id)->needed(),
            Field::of('phase', Choice::of(Phase::class))->needed(),
            Field::of('text', Text::filled(Bounds::STEP))->needed(),
            Field::of('at_min', new Whole(...Bounds::AT_MIN)),
            Field::of('wait_s', new Whole(...Bounds::WAIT_S))->usual(0),
        ]));
    }

    public static function acceptance(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Acceptance::class, 'acceptance', [
            Field::of('evidence', Text::filled(self::EVIDENCE)
                ->like('^[0-9a-f]{'.self::EVIDENCE.'}$', 'This has to be '.self::EVIDENCE.' hexadecimal digits.'))->needed(),
            Field::of('says', Text::filled(Bounds::WHY))->needed(),
            Field::of('why', Text::filled(Bounds::WHY))->needed(),
        ])->knownBy('evidence'));
    }

    public static function fact(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Fact::class, 'fact', [
            Field::of('about', new ElementPath)->needed(),
            Field::of('with', new ElementPath),
            Field::of('certainty', Choice::of(Certainty::class))->needed(),
            Field::of('what', Text::filled(Bounds::STEP))->needed(),
            Field::of('by', Text::upTo(Bounds::SHORT_NAME)),
            Field::of('on', Text::upTo(Bounds::SHORT_NAME)->like('^'.Fact::DAY.'$', 'A day is written YYYY-MM-DD: 2026-02-28.')),
            Field::of('firmware', Text::upTo(Bounds::SHORT_NAME)),
            Field::of('proof', Text::upTo(Bounds::WHY)),
            Field::of('minutes', new Whole(...Bounds::MINUTES)),
        ])->knownBy('about', 'with'));
    }

    public static function measure(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Measure::class, 'measure', [
            Field::of('about', new ElementPath)->needed(),
            Field::of('kind', Choice::of(MeasureKind::class))->needed(),
            Field::of('value', new Custom(
                function (mixed $value, Reading $in): ?float {
                    $kind = $in->thing()['kind'] ?? null;

                    return $kind instanceof MeasureKind ? (new Number(...$kind->range()))->read($value, $in) : null;
                },
                fn (float $value): int|float => Number::plain($value),
                fn (Definitions $definitions): array => ['type' => 'number'],
                what: 'a number',
            ))->needed(),
        ])->knownBy('about', 'kind')->saying(['allOf' => array_map(fn (MeasureKind $kind) => [
            'if' => ['properties' => ['kind' => ['const' => $kind->value]]],
            'then' => ['properties' => ['value' => ['minimum' => $kind->range()[0], 'maximum' => $kind->range()[1]]]],
        ], MeasureKind::cases())]));
    }
}
