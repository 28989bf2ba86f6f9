<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\ViewModels\EquipmentList;
use HiddenWire\Core\Edit\AddEquipment;
use HiddenWire\Core\Edit\AddPlace;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\CopyUnit;
use HiddenWire\Core\Edit\DescribeRig;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\Grow;
use HiddenWire\Core\Edit\MoveUnit;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Edit\RemovePlace;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\Rename;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetDays;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Days;
use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\OperatingSystem;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\SystemKind;
use HiddenWire\Core\Rig\WebLink;
use Illuminate\Validation\ValidationException;

/** Changes of what there is: places and units. */
final class StockForms
{
    /** How many units can be moved, copied or removed in one step. */
    private const CHOSEN = 100;

    /** Fields of a unit that its form has as the document has them. */
    private const PLAIN = ['firmware', 'serial', 'notes', 'price', 'supplier', 'ready_s'];

    /** @return list<RigEdit> */
    public static function describeRig(EditFields $in): array
    {
        $described = new DescribeRig($in->name(Bounds::NAME), $in->text('summary', Bounds::SUMMARY));
        $days = $in->isSent('first_day') || $in->isSent('last_day') ? self::days($in) : $in->rig->days;
        $isNamed = $described->name !== $in->rig->name || $described->summary !== $in->rig->summary;

        return $days == $in->rig->days ? [$described] : [...$isNamed ? [$described] : [], new SetDays($days)];
    }

    /** One day alone is the first and the last. */
    private static function days(EditFields $in): ?Days
    {
        $first = $in->text('first_day', Bounds::DAY);
        $last = $in->text('last_day', Bounds::DAY);
        $days = new Days($first === '' ? $last : $first, $last === '' ? $first : $last);
        foreach (['first_day' => $days->from, 'last_day' => $days->to] as $field => $day) {
            $day === '' || Days::isDay($day) || $in->refuse($field, 'The calendar has no such day. Write it as 2026-12-05.');
        }
        $days->to >= $days->from || $in->refuse('last_day', 'The last day is before the first.');

        return $days->from === '' ? null : $days;
    }

    /** @return list<RigEdit> */
    public static function rename(EditFields $in): array
    {
        $thing = $in->choice('thing', Named::class, 'Choose what to rename.');

        return [new Rename(
            $thing,
            $in->known('id', $in->rig->{$thing->value}),
            $in->name($thing === Named::Place || $thing === Named::Unit ? 120 : 60),
        )];
    }

    /** @return list<RigEdit> */
    public static function place(EditFields $in): array
    {
        return [new AddPlace(
            $in->newName($in->rig->places, Bounds::NAME),
            $in->choice('kind', PlaceKind::class, 'Choose what kind of place it is.'),
        )];
    }

    /** @return list<RigEdit> */
    public static function removePlace(EditFields $in): array
    {
        return [new RemovePlace($in->known('place', $in->rig->places))];
    }

    /** @return list<RigEdit> */
    public static function addUnit(EditFields $in): array
    {
        $model = $in->model();

        return [new AddUnit(
            $model,
            $in->known('place', $in->rig->places),
            $in->text('name', Bounds::NAME, $model->name),
            $in->whole('count', 1, EquipmentList::COUNT) ?? 1,
        )];
    }

    /**
     * What was read of a list: each line a model, how many, a name and a place, which may be new.
     *
     * @return list<RigEdit>
     */
    public static function addList(EditFields $in): array
    {
        $places = $units = $ids = $errors = [];
        foreach (array_slice($in->rows('lines'), 0, EquipmentList::MOST, true) as $i => $row) {
            try {
                if (! $row->has('model')) {
                    continue;
                }
                $place = $row->text('place', Bounds::NAME + 20);
                if (! isset($in->rig->places[$place]) && ! isset($ids[$place])) {
                    $places[$place] = self::newPlace($row, $place);
                    $ids[$place] = Naming::id($places[$place]->name, [...array_keys($in->rig->places), ...array_values($ids)]);
                }
                $model = $row->model();
                $units[] = new AddUnit(
                    $model,
                    $ids[$place] ?? $place,
                    $row->text('name', Bounds::NAME, $model->name),
                    $row->whole('count', 1, EquipmentList::COUNT) ?? 1,
                );
            } catch (ValidationException $e) {
                foreach ($e->errors() as $field => $messages) {
                    $errors["lines.{$i}.{$field}"] = $messages[0];
                }
            }
        }
        $errors === [] || $in->refuseAll($errors);
        $units === [] && $in->refuse('lines', 'Choose a model for one line at least.');

        return [new AddEquipment([...array_values($places), ...$units])];
    }

    /** @throws ValidationException where none is described */
    private static function newPlace(EditFields $row, string $said): AddPlace
    {
        [$new, $kind, $name] = [...explode(':', $said, 3), '', ''];
        $kind = PlaceKind::tryFrom($kind);

        return "{$new}:" === EquipmentList::NEW && $kind !== null && trim($name) !== '' && mb_strlen($name) <= Bounds::NAME
            ? new AddPlace(trim($name), $kind)
            : $row->refuse('place', 'Choose a place first.');
    }

    /** @return list<RigEdit> */
    public static function copyUnit(EditFields $in): array
    {
        return [new CopyUnit($in->unit())];
    }

    /** @return list<RigEdit> */
    public static function moveUnit(EditFields $in): array
    {
        return [new MoveUnit($in->unit(), $in->known('place', $in->rig->places))];
    }

    /**
     * The same for several units: moved, copied, removed.
     *
     * @return list<RigEdit>
     */
    public static function units(EditFields $in): array
    {
        $units = array_values(array_unique($in->list('units')));
        if ($units === [] || count($units) > self::CHOSEN) {
            $in->refuse('units', $units === [] ? 'Choose the units first.' : 'Choose '.self::CHOSEN.' units at most at a time.');
        }
        foreach ($units as $unit) {
            isset($in->rig->units[$unit]) || $in->refuse('units', 'One of these units is not in the rig any more. Choose again.');
        }
        $do = $in->text('do', 10);
        $place = $do === 'move' ? $in->known('place', $in->rig->places) : '';

        return array_map(fn (string $unit): RigEdit => match ($do) {
            'move' => new MoveUnit($unit, $place),
            'copy' => new CopyUnit($unit),
            'remove' => new RemoveUnit($unit),
            default => $in->refuse('do', 'Choose whether to move, copy or remove them.'),
        }, $units);
    }

    /**
     * What is sent of a unit; what is not stays as it is.
     *
     * @return list<RigEdit>
     */
    public static function describeUnit(EditFields $in): array
    {
        $says = ['name' => $in->name(Bounds::NAME)];
        foreach (Units::unit()->allFields() as $field) {
            if (in_array($field->key, self::PLAIN, true) || $field->note?->isFor($in->rig->modelOf($in->unit())) === true) {
                $says += $in->isSent($field->key) ? [$field->property => $in->described($field)] : [];
            }
        }
        if ($in->flag('with_running') === true) {
            $says += ['needs' => self::needs($in), 'atLogin' => $in->flag('at_login') ?? false];
        }
        if ($in->isSent('links')) {
            $says += ['links' => self::links($in), 'system' => self::system($in)];
        }

        return [new DescribeUnit($in->unit(), $says)];
    }

    /** @return list<string> ids of units */
    private static function needs(EditFields $in): array
    {
        $needs = array_values(array_unique($in->list('needs')));
        foreach ($needs as $needed) {
            isset($in->rig->units[$needed]) || $in->refuse('needs', 'The rig has no such unit to need.');
        }

        return $needs;
    }

    private static function system(EditFields $in): ?OperatingSystem
    {
        $name = $in->text('system', Bounds::NOTE);
        $version = $in->text('system_version', Bounds::NOTE);
        $kind = $in->choiceOrNone('system_kind', SystemKind::class);
        $name = $name === '' && $kind !== null ? 'System' : $name;
        if ($name === '' || ! $in->rig->modelOf($in->unit())->family->isHost()) {
            return null;
        }
        if ($version !== '' && preg_match('/'.SystemNeed::VERSION.'/D', $version) !== 1) {
            $in->refuse('system_version', 'A version is numbers with dots between them: 10.4.');
        }

        return new OperatingSystem($name, $version, $kind);
    }

    /** @return list<WebLink> one a line: what it is, then its address */
    private static function links(EditFields $in): array
    {
        $links = [];
        foreach (preg_split('/\R/u', $in->text('links', Bounds::LINKS * (Bounds::NAME + Bounds::URL + 2))) ?: [] as $line) {
            if (trim($line) === '') {
                continue;
            }
            $words = preg_split('/\s+/u', trim($line)) ?: [];
            $url = (string) array_pop($words);
            $label = implode(' ', $words);
            if (! WebLink::isAddress($url) || mb_strlen($url) > Bounds::URL || mb_strlen($label) > Bounds::NAME) {
                $in->refuse(
                    'links',
                    'Each line is a name and an address: "Manual https://…". This is not: '.mb_strimwidth($line, 0, 80, '…'),
                );
            }
            $links[] = new WebLink($label === '' ? 'Manual' : $label, $url);
        }

        return count($links) > Bounds::LINKS ? $in->refuse('links', 'A unit has '.Bounds::LINKS.' links at most.') : $links;
    }

    /** @return list<RigEdit> */
    public static function swapUnit(EditFields $in): array
    {
        return [new SwapUnit($in->unit(), $in->model())];
    }

    /** @return list<RigEdit> */
    public static function growUnit(EditFields $in): array
    {
        $unit = $in->unit();
        $growth = $in->known('growth', $in->rig->modelOf($unit)->grows);

        return [new Grow($unit, $growth, $in->whole('count', 0, Growth::MOST) ?? $in->refuse('count', 'Say how many it has.'))];
    }

    /** @return list<RigEdit> */
    public static function removeUnit(EditFields $in): array
    {
        return [new RemoveUnit($in->unit())];
    }
}
