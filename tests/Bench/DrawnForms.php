<?php

declare(strict_types=1);

namespace Tests\Bench;

use App\Http\Edits\CableForms;
use App\Models\Rig as Record;
use App\Rigs\CatalogueFiles;
use App\Rigs\Causes;
use App\Rigs\FoundCauses;
use App\ViewModels\FaultAnswers;
use HiddenWire\Core\Book\BookInput as BookSource;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Export\CableCsv;
use HiddenWire\Core\Planning\Between;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\OwnSlot;
use HiddenWire\Core\Planning\Rebalance;
use HiddenWire\Core\Planning\Volumes;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Movable;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

/**
 * For each change that a page can ask for, a form as a person would fill it in on this rig: what it names is there, and its values are
 * likely ones. Null where the rig has nothing to do that with.
 */
final class DrawnForms
{
    /** Changes for which causes have to be found first: they take long, and are drawn less often. */
    public const SLOW = ['cure', 'cures', 'right-mix', 'accept', 'own-slot', 'one-knob'];

    /** What makes something to do one with, by the change that may have nothing otherwise. */
    public const FIRST = [
        'reopen' => ['accept'], 'rebalance' => ['balance', 'route', 'point'], 'scene-picture' => ['add-scene', 'picture'], 'rename-scene' => ['add-scene'],
        'choose-scene' => ['add-scene'], 'remove-scene' => ['add-scene'], 'scene-source' => ['add-scene'], 'remove-picture' => ['picture'],
        'effect' => ['add-effect'], 'switch-effect' => ['add-effect'], 'move-effect' => ['add-effect'], 'remove-effect' => ['add-effect'],
        'prove' => ['fact'], 'control-move' => ['control'], 'control-unmove' => ['control', 'control-move'],
        'control-assign' => ['control', 'control-move'], 'control-tried' => ['control'], 'remove-control' => ['control'],
    ];

    /** Starters that have what few rigs have. */
    public const HAVE = ['own-slot' => ['harbour-radio', 'puppet-theatre', 'repair-evening'], 'one-knob' => ['guided-evening', 'storm-watch'],
        'rebalance' => ['night-relay'], 'follow' => ['guided-evening']];

    /** @var array<string, array<string, Device>>|null */
    private ?array $devices = null;

    private ?FoundCauses $causes = null;

    public function __construct(private readonly Rig $rig, private readonly Record $record)
    {
    }

    /** @return list<string> the changes that can be drawn */
    public static function words(): array
    {
        $words = [];
        foreach ((new \ReflectionClass(self::class))->getMethods(\ReflectionMethod::IS_PRIVATE) as $method) {
            if (str_starts_with($method->getName(), 'draw')) {
                $words[] = strtolower((string) preg_replace('/(?<!^)[A-Z]/', '-$0', substr($method->getName(), 4)));
            }
        }

        return $words;
    }

    /** @return array<string, mixed>|null */
    public function draw(string $word): ?array
    {
        $fields = $this->{'draw'.str_replace('-', '', ucwords($word, '-'))}();

        return $fields === null || in_array(false, $fields, true) ? null : ['edit' => $word, ...$fields];
    }

    // Wishes, sounds and listeners. A field that is false has nothing to be chosen from.

    private function drawWish(): array
    {
        return ['source' => $this->oneOf([...array_keys($this->rig->sources), '*']), 'listener' => $this->id($this->rig->listeners),
            'want' => $this->oneOf(['must', 'may', 'must-not', 'none']), 'situation' => $this->situation()];
    }

    private function drawWishes(): array
    {
        $cells = [];
        foreach ($this->rig->sources as $source) {
            foreach ($this->rig->listeners as $listener) {
                $cells[] = "{$source->id}:{$listener->id}";
            }
        }

        return ['cells' => $this->some($cells, 5), 'want' => $this->oneOf(['must', 'may', 'must-not', 'none']), 'situation' => $this->situation()];
    }

    private function drawMarkWish(): ?array
    {
        $wish = $this->oneOf($this->rig->wishes);

        return $wish === false ? null : ['source' => $wish->source, 'listener' => $wish->listener, 'own_level' => $this->oneOf(['', 'listeners', 'sounds', 'both']),
            'stereo' => $this->oneOf(['0', '1']), 'up_to_db' => $this->oneOf(['', '-20', '-60', '0']),
            'alone' => $this->oneOf(['0', '1']), 'treatment' => $this->oneOf(['', 'dry', 'processed']), 'side' => $this->oneOf(['', 'left', 'right'])];
    }

    private function drawRebalance(): ?array
    {
        // One that is as wished has nothing to be done.
        $off = array_filter($this->rig->balances, fn (Balance $balance) => (new Rebalance($this->rig, $balance, null))->edits !== []);
        $balance = $this->oneOf($off);

        return $balance === false ? null : array_combine(['listener', 'like'], explode(' ', $balance->key()));
    }

    private function drawTouched(): array
    {
        return ['source' => $this->id($this->rig->sources), 'touched' => $this->oneOf(['', 'often', 'seldom', 'never'])];
    }

    private function drawLoudness(): array
    {
        return ['source' => $this->id($this->rig->sources), 'loudness' => $this->number(-40, -6), 'measured' => $this->oneOf(['0', '1'])];
    }

    private function drawDistance(): ?array
    {
        $source = $this->oneOf(array_filter($this->rig->sources, fn ($one) => $one->origins !== []));

        return $source === false ? null : ['source' => $source->id, 'at' => (string) $this->oneOf($source->origins)->at,
            'metres' => $this->oneOf(['', '0.1', '0.45', '2'])];
    }

    private function drawRightMix(): array
    {
        return ['listener' => $this->id($this->rig->listeners)];
    }

    private function drawOwnSlot(): ?array
    {
        $hearings = new Hearings($this->rig);
        foreach ($this->some(array_keys($this->rig->sources), 12, 12) as $source) {
            foreach ($this->rig->listeners as $listener) {
                if ((new OwnSlot($hearings, (string) $source, $listener->id))->edits !== []) {
                    return ['source' => (string) $source, 'listener' => $listener->id];
                }
            }
        }

        return null;
    }

    private function drawOneKnob(): ?array
    {
        $hearing = new Hearing((new GraphBuilder($this->rig))->build($this->rig->base()));
        foreach ($this->rig->listeners as $listener) {
            if (((new Volumes($hearing, $listener))->edits() ?? []) !== []) {
                return ['listener' => $listener->id];
            }
        }

        return null;
    }

    private function drawBalance(): ?array
    {
        $two = $this->some(array_keys($this->rig->listeners), 2, 2);

        return count($two) < 2 ? null : ['listener' => $two[0], 'like' => $two[1], 'within_db' => $this->oneOf(['', '0.5', '1', '3', '6'])];
    }

    private function drawAddSource(): array
    {
        return ['name' => $this->newName(), 'kind' => $this->case(SourceKind::class), 'at' => $this->oneOf(['', ...$this->points(PointKind::Origin)])];
    }

    private function drawAddListener(): array
    {
        return ['name' => $this->newName(), 'kind' => $this->case(ListenerKind::class), 'at' => $this->oneOf(['', ...$this->points(PointKind::Ear)])];
    }

    private function drawPlaceSound(): array
    {
        return ['source' => $this->id($this->rig->sources), 'at' => $this->oneOf($this->points(PointKind::Origin)),
            'away' => $this->oneOf(['', '', '1']), 'db' => $this->number(-12, 0)];
    }

    private function drawPlaceListener(): array
    {
        return ['listener' => $this->id($this->rig->listeners), 'at' => $this->oneOf($this->points(PointKind::Ear)), 'away' => $this->oneOf(['', '', '1'])];
    }

    private function drawPlaceAll(): array
    {
        return ['starts' => [(string) $this->id($this->rig->sources) => $this->oneOf($this->points(PointKind::Origin))],
            'listens' => [(string) $this->id($this->rig->listeners) => $this->oneOf($this->points(PointKind::Ear))]];
    }

    private function drawBringService(): array
    {
        return $this->oneOf([['listener' => $this->id($this->rig->listeners)], ['source' => $this->id($this->rig->sources)]]);
    }

    private function drawRemoveSource(): array
    {
        return ['source' => $this->id($this->rig->sources)];
    }

    private function drawRemoveListener(): array
    {
        return ['listener' => $this->id($this->rig->listeners)];
    }

    private function drawCure(): ?array
    {
        $offered = [];
        foreach (['' => $this->found()->causes, 'f' => $this->found()->findings] as $mark => $all) {
            foreach ($all as $i => $one) {
                foreach ($one->cures as $j => $cure) {
                    $offered[] = ['cure' => $mark.($i + 1).'.'.($j + 1), 'sentence' => $cure->sentence];
                }
            }
        }

        return $this->oneOf($offered) ?: null;
    }

    private function drawCures(): array
    {
        return [];
    }

    // Places and units.

    private function drawDescribeRig(): array
    {
        return ['name' => $this->newName(), 'summary' => $this->prose()];
    }

    private function drawRename(): array
    {
        $thing = $this->oneOf(Named::cases());

        return ['thing' => $thing->value, 'id' => $this->id($this->rig->{$thing->value}), 'name' => $this->newName()];
    }

    private function drawPlace(): array
    {
        return ['name' => $this->newName(), 'kind' => $this->case(PlaceKind::class)];
    }

    private function drawRemovePlace(): array
    {
        return ['place' => $this->oneOf(array_values(array_filter(
            array_keys($this->rig->places),
            fn (string $place) => array_filter($this->rig->units, fn (Unit $unit) => $unit->place === $place) === [],
        )))];
    }

    private function drawAddUnit(): array
    {
        return ['model' => $this->id(CatalogueFiles::catalogue()->models), 'place' => $this->id($this->rig->places),
            'name' => $this->oneOf(['', $this->newName()]), 'count' => $this->oneOf(['', '1', '2'])];
    }

    private function drawAddList(): array
    {
        $places = [...array_keys($this->rig->places), 'new:desk:'.$this->newName(), 'new:computer:'.$this->newName(), 'new:moon:'];
        $line = fn (): array => ['model' => $this->oneOf(['', $this->id(CatalogueFiles::catalogue()->models)]),
            'place' => (string) $this->oneOf($places), 'name' => $this->oneOf(['', $this->newName()]), 'count' => $this->oneOf(['', '1', '2'])];

        return ['lines' => array_map($line, range(1, mt_rand(1, 4)))];
    }

    private function drawCopyUnit(): array
    {
        return ['unit' => $this->id($this->rig->units)];
    }

    private function drawMoveUnit(): array
    {
        return ['unit' => $this->id($this->rig->units), 'place' => $this->id($this->rig->places)];
    }

    private function drawUnits(): array
    {
        return ['units' => $this->some(array_keys($this->rig->units), 3), 'do' => $this->oneOf(['move', 'move', 'copy', 'remove']),
            'place' => $this->id($this->rig->places)];
    }

    private function drawDescribeUnit(): array
    {
        return ['unit' => $this->id($this->rig->units), 'name' => $this->newName(), 'firmware' => '1.'.mt_rand(0, 9), 'serial' => $this->prose(20),
            'notes' => $this->prose(), 'with_running' => $this->oneOf(['', '1']), 'needs' => $this->some(array_keys($this->rig->units), 2, 0),
            'at_login' => $this->oneOf(['0', '1']), 'price' => mt_rand(10, 900).' €', 'supplier' => $this->prose(20),
            'links' => $this->oneOf(['', 'Manual https://example.test/manual']), 'power_w' => $this->oneOf(['', '12']),
            'ownership' => $this->oneOf(['', 'own', 'hired']), 'spare_for' => $this->oneOf(['', ...array_keys($this->rig->units)]), 'ready_s' => (string) mt_rand(0, 90),
            'system' => $this->oneOf(['', 'Harbour', 'Quay']), 'system_version' => $this->oneOf(['', '10.4', '11'])];
    }

    private function drawSwapUnit(): ?array
    {
        $unit = $this->oneOf($this->rig->units);
        if ($unit === false) {
            return null;
        }
        $family = $this->rig->modelOf($unit)->family;

        return ['unit' => $unit->id, 'model' => $this->oneOf(array_keys(array_filter(
            CatalogueFiles::catalogue()->models,
            fn (EquipmentModel $model) => $model->family === $family,
        )))];
    }

    private function drawGrowUnit(): ?array
    {
        [$unit, $model] = $this->unitWith(fn (EquipmentModel $model) => $model->grows !== []);
        if ($unit === null) {
            return null;
        }
        $growth = $this->oneOf($model->grows);

        return ['unit' => $unit->id, 'growth' => $growth->id, 'count' => (string) mt_rand($growth->least, min($growth->most, $growth->least + 8))];
    }

    private function drawRemoveUnit(): array
    {
        return ['unit' => $this->id($this->rig->units)];
    }

    // Cables.

    private function drawPlug(): array
    {
        // Two sockets by chance rarely fit: now and then some are drawn until two do.
        for ($try = mt_rand(0, 1) * 20; $try > 0; $try--) {
            [$from, $to] = [$this->oneOf($this->socketRefs()), $this->oneOf($this->socketRefs())];
            if ($from !== false && Mating::obstacle($this->rig->socket($from), $this->rig->socket($to)) === null) {
                return ['from' => (string) $from, 'to' => (string) $to];
            }
        }

        return ['from' => $this->oneOf($this->sockets()), 'to' => $this->oneOf($this->sockets())];
    }

    private function drawPlugInTurn(): array
    {
        // A cable's end is taken: in turn another can be plugged there.
        $cable = $this->oneOf($this->rig->cables);

        return ['from' => $cable === false ? $this->oneOf($this->sockets()) : (string) $this->oneOf([$cable->from, $cable->to]),
            'to' => $this->oneOf($this->sockets()), 'which' => $this->id($this->rig->situations)];
    }

    private function drawBetween(): ?array
    {
        $between = new Between($this->rig, CatalogueFiles::catalogue());
        for ($try = 0; $try < 12; $try++) {
            [$from, $to] = [$this->oneOf($this->socketRefs()), $this->oneOf($this->socketRefs())];
            if ($from === false || $from->unit === $to->unit) {
                continue;
            }
            $offer = $this->oneOf($between->offers($from, $to));
            if ($offer !== false) {
                return ['model' => $offer->model->id, 'from' => (string) $from, 'to' => (string) $to];
            }
        }

        return null;
    }

    private function drawUnplug(): array
    {
        return ['cable' => $this->id($this->rig->cables)];
    }

    private function drawReplug(): array
    {
        return ['cable' => $this->id($this->rig->cables), 'end' => $this->oneOf(['from', 'to']), 'to' => $this->oneOf($this->sockets())];
    }

    private function drawReplace(): array
    {
        return ['cable' => $this->id($this->rig->cables)];
    }

    private function drawCable(): ?array
    {
        $cable = $this->oneOf($this->rig->cables);

        return $cable === false ? null : ['cable' => $cable->id, 'label' => $this->oneOf(['', 'L-'.mt_rand(1, 9999)]),
            'type' => $this->oneOf(['', $cable->type->value, $this->case(CableType::class)]), 'length' => $this->number(1, 12),
            'colour' => $this->oneOf(['', 'red', 'blue']), 'owned' => $this->oneOf(['0', '1']), 'price' => '12 €', 'supplier' => ''];
    }

    private function drawCables(): ?array
    {
        $rows = [];
        foreach ($this->some(array_keys($this->rig->cables), 3) as $i => $id) {
            $cable = $this->rig->cables[$id];
            $rows[$i] = ['cable' => $id, 'label' => $cable->label, 'type' => $cable->type->value, 'from' => (string) $cable->from,
                'to' => CableForms::socketName($this->rig, $cable->to->unit, $cable->to->socket), 'length' => $this->number(1, 12),
                'colour' => $cable->colour, 'owned' => $cable->owned ? '1' : '0', 'out' => $this->oneOf(['', '', '', '1'])];
        }
        $rows[CableForms::NEW_ROWS + 1] = ['cable' => '', 'label' => '', 'from' => $this->oneOf(['', ...$this->sockets()]) ?: '',
            'to' => $this->oneOf($this->sockets()) ?: ''];
        if ($rows[CableForms::NEW_ROWS + 1]['from'] === '') {
            unset($rows[CableForms::NEW_ROWS + 1]);
        }

        return $rows === [] ? null : ['cables' => $rows];
    }

    private function drawImportCables(): ?array
    {
        if ($this->rig->cables === []) {
            return null;
        }
        // Its own list, with other lengths, and perhaps a line of it left out.
        $lines = explode("\r\n", rtrim((new CableCsv)->write(new BookSource($this->rig))));
        foreach ($lines as $i => $line) {
            $lines[$i] = $i > 0 ? (string) preg_replace('/,\d+(\.\d+)?,/', ','.mt_rand(1, 12).',', $line, 1) : $line;
        }

        return ['csv' => implode("\r\n", $lines)."\r\n"];
    }

    private function drawImportWishes(): array
    {
        $listeners = array_map(fn ($one) => $one->name, array_values($this->rig->listeners));
        $lines = [implode("\t", ['Sound', 'Kind', ...$listeners, "{$this->newName()} (stream)"])];
        foreach ([...array_map(fn ($one) => $one->name, array_values($this->rig->sources)), $this->newName()] as $sound) {
            $cells = array_map(fn () => $this->oneOf(['', '', 'must', 'may', 'must not']), [...$listeners, 'new']);
            $lines[] = implode("\t", [$sound, $this->oneOf(['', 'voice', 'music']), ...$cells]);
        }

        return ['csv' => implode("\n", $lines)];
    }

    private function drawRenumber(): array
    {
        return [];
    }

    // Computers and programs.

    private function drawDevice(): ?array
    {
        [$computer, $device] = $this->computerDevice();

        return $device === null ? null : ['computer' => $computer, 'device' => (string) $device->ref, 'name' => $this->oneOf(['', $this->newName()]),
            'enabled' => $this->oneOf(['1', '1', '0']), 'roles' => $this->some(array_column(Role::cases(), 'value'), 2, 0),
            'rate_hz' => $this->oneOf(['', '44100', '48000']), 'bits' => $this->oneOf(['', '16', '24']), 'driver_mode' => '',
            'db' => $this->oneOf(['', '0', '-6']), 'mute' => $this->oneOf(['0', '0', '1'])];
    }

    private function drawNameDevice(): ?array
    {
        [$computer, $device] = $this->computerDevice();

        return $device === null ? null : ['computer' => $computer, 'device' => (string) $device->ref, 'name' => $this->oneOf(['', $this->newName()])];
    }

    private function drawControl(): array
    {
        $at = $this->oneOf(['units/'.$this->id($this->rig->units), 'places/'.$this->id($this->rig->places)]);

        return ['control' => $this->oneOf(['', '', $this->id($this->rig->controls) ?: '']), 'name' => $this->oneOf(['Fader', 'Pad', 'Key']).' '.$this->number(1, 40),
            'legend' => $this->oneOf(['', 'Music', 'Caller', 'Break']), 'kind' => $this->oneOf(['fader', 'knob', 'key', 'pad', 'footswitch']), 'at' => $at,
            'position' => $this->oneOf(['', '50']), 'bank' => $this->oneOf(['', 'Show']), 'learned' => $this->oneOf(['0', '1']),
            'assigned' => $this->oneOf(['0', '0', '1'])];
    }

    private function drawControlMove(): ?array
    {
        $control = $this->oneOf(array_values($this->rig->controls));
        if ($control === false) {
            return null;
        }
        $what = [];
        foreach (array_keys($this->rig->units) as $unit) {
            $what = [...$what, ...array_keys(Movable::of($this->rig, (string) $unit, $control->kind->isTurned()))];
        }
        $what[] = 'situations/'.array_key_first($this->rig->situations).' situation';

        return ['control' => $control->id, 'what' => $this->oneOf($what), 'from' => '', 'to' => '', 'law' => '',
            'by' => $control->kind->isTurned() ? '' : $this->oneOf(['', 'press', 'hold', 'long']), 'with' => ''];
    }

    private function drawControlUnmove(): ?array
    {
        $control = $this->oneOf(array_values(array_filter($this->rig->controls, fn ($one) => $one->moves !== [])));

        return $control === false ? null : ['control' => $control->id, 'what' => $control->moves[0]->slot(), 'by' => $control->moves[0]->by->value];
    }

    private function drawControlTried(): ?array
    {
        $control = $this->oneOf(array_values(Hands::of($this->rig)));

        return $control === false ? null : ['control' => $control->id, 'what' => $this->oneOf(['as-planned', 'nothing',
            ...array_map(fn ($move) => $move->slot(), $control->moves)])];
    }

    private function drawControlAssign(): ?array
    {
        $control = $this->oneOf(array_values(array_filter(Hands::of($this->rig), fn ($one) => $one->isAssigned && $one->moves !== [])));

        return $control === false ? null : ['control' => $control->id, 'what' => $control->moves[count($control->moves) - 1]->slot()];
    }

    private function drawControlsOf(): array
    {
        return ['unit' => $this->id(array_filter($this->rig->units, fn ($unit) => array_filter(
            $this->rig->modelOf($unit)->points,
            fn ($point) => $point->fader !== null,
        ) !== []))];
    }

    private function drawRemoveControl(): array
    {
        return ['control' => $this->id($this->rig->controls)];
    }

    private function drawFound(): ?array
    {
        $faults = Fault::all($this->rig);

        return $faults === [] ? null : ['faults' => FaultAnswers::digest($this->oneOf($faults)->words)];
    }

    private function drawObserved(): ?array
    {
        [$computer, $device] = $this->computerDevice();
        if ($device === null) {
            return null;
        }
        // Its own list, with one name lost.
        $list = "name,direction\n";
        foreach ($this->devices[$computer] ?? [] as $one) {
            $name = (string) $one->ref === (string) $device->ref ? '2- '.$one->systemName : $one->name();
            $list .= '"'.str_replace('"', '""', $name)."\",{$one->direction->value}\n";
        }

        return ['computer' => $computer, 'list' => $list];
    }

    private function drawPickOpens(): ?array
    {
        $pick = $this->oneOf($this->rig->picks);
        if ($pick === false) {
            return null;
        }
        $modes = array_column(DriverMode::cases(), 'value');

        return ['unit' => $pick->at->unit, 'point' => $pick->at->point, 'mode' => $this->oneOf(['', ...$modes]), 'situation' => $this->situation(),
            'with_also' => $this->oneOf(['', '1']), 'also' => []];
    }

    private function drawPlugLast(): array
    {
        return ['cable' => $this->id($this->rig->cables), 'situation' => $this->situation()];
    }

    private function drawNamePoint(): ?array
    {
        [$unit, $point] = $this->point(fn (Point $point) => true);

        return $unit === null ? null : ['unit' => $unit, 'point' => $point->id, 'name' => $this->oneOf(['', mb_substr($this->newName(), 0, 40)])];
    }

    private function drawDefault(): ?array
    {
        [$computer, $device] = $this->computerDevice();

        return $device === null ? null : ['computer' => $computer, 'device' => $this->oneOf(['', (string) $device->ref]),
            'direction' => $device->direction->value, 'role' => $this->oneOf(array_column(Role::cases(), 'value')), 'situation' => $this->override()];
    }

    private function drawPick(): ?array
    {
        [$unit, $point] = $this->point(fn (Point $point) => $point->picks !== null);
        if ($unit === null) {
            return null;
        }
        $host = $this->rig->hostOf($this->rig->units[$unit]->place);
        $devices = array_values(array_filter($this->devices()[$host->id ?? ''] ?? [], fn (Device $one) => $one->direction === $point->picks));

        return ['unit' => $unit, 'point' => $point->id, 'channels' => $this->oneOf(['', '', '1', '1,2']), 'situation' => $this->situation(),
            'device' => $this->oneOf(['', 'system', 'call', ...array_map(fn (Device $one) => (string) $one->ref, $devices)])];
    }

    private function drawSystemLevel(): ?array
    {
        [$computer, $device] = $this->computerDevice();

        return $device === null ? null : ['computer' => $computer, 'device' => (string) $device->ref, 'db' => $this->oneOf(['', $this->number(-30, 0)]),
            'mute' => $this->oneOf(['', '0', '1']), 'situation' => $this->override()];
    }

    private function drawProgramLevel(): ?array
    {
        $pick = $this->oneOf($this->rig->picks);

        return $pick === false ? null : ['unit' => $pick->at->unit, 'point' => $pick->at->point, 'db' => $this->oneOf(['', $this->number(-30, 0)]),
            'mute' => $this->oneOf(['0', '1']), 'situation' => $this->situation()];
    }

    private function drawStartOrder(): ?array
    {
        $programs = [];
        foreach ($this->rig->units as $unit) {
            if ($this->rig->modelOf($unit)->isProgram()) {
                $programs[$unit->place][] = $unit->id;
            }
        }
        $place = $this->oneOf(array_keys($programs));
        if ($place === false) {
            return null;
        }

        return ['place' => $place, 'programs' => implode(',', $this->some($programs[$place], count($programs[$place]), count($programs[$place])))];
    }

    // What is set on units.

    private function drawRoute(): ?array
    {
        [$unit, $model] = $this->unitWith(fn (EquipmentModel $model) => $model->routes !== []);
        $route = $this->oneOf($model->routes ?? []);
        if ($route === false) {
            return null;
        }

        return ['unit' => $unit->id, 'route' => "{$route->from}>{$route->to}", 'situation' => $this->situation(),
            ...$this->oneOf([['on' => $this->oneOf(['0', '1'])], ['db' => $this->number(-20, 0)], ['tap' => $this->oneOf(array_column(Tap::cases(), 'value'))]])];
    }

    private function drawPoint(): ?array
    {
        [$unit, $point] = $this->point(fn (Point $point) => $point->fader !== null || $point->gain !== null || $point->mute !== null || $point->mono !== null);
        if ($unit === null) {
            return null;
        }
        $can = array_keys(array_filter(
            ['fader' => $point->fader, 'gain' => $point->gain, 'mute' => $point->mute, 'mono' => $point->mono],
            fn (mixed $control) => $control !== null,
        ));
        $control = $this->oneOf($can);
        $span = $point->span($control);

        return ['unit' => $unit, 'point' => $point->id, 'situation' => $this->situation(),
            $control => $span === null ? $this->oneOf(['0', '1']) : $this->number((int) ceil(max(-30, $span->from->number())), (int) floor(min(10, $span->to->number())))];
    }

    private function drawFollow(): ?array
    {
        [$unit, $point] = $this->point(fn (Point $point) => $point->canFollow !== []);

        return $unit === null ? null : ['unit' => $unit, 'point' => $point->id, 'of' => $this->oneOf(['', ...$point->canFollow]),
            'with_fader' => $this->oneOf(['', '1'])];
    }

    private function drawCopyRecipe(): ?array
    {
        [$unit, $model] = $this->unitWith(fn (EquipmentModel $model) => count($model->routes) > 3);
        if ($unit === null) {
            return null;
        }
        $outputs = array_values(array_unique(array_column($model->routes, 'to')));

        return ['unit' => $unit->id, 'from' => $this->oneOf($outputs), 'point' => $this->oneOf($outputs), 'situation' => $this->situation()];
    }

    private function drawLinkLevel(): ?array
    {
        [$unit, $model] = $this->unitWith(fn (EquipmentModel $model) => count($model->routes) > 1);
        if ($unit === null) {
            return null;
        }

        return ['unit' => $unit->id, 'route' => $this->id($model->routes), 'with' => $this->oneOf(['', ...array_keys($model->routes)])];
    }

    private function drawValue(): ?array
    {
        [$unit, $model] = $this->unitWith(fn (EquipmentModel $model) => $model->settings !== []);
        if ($unit === null) {
            return null;
        }
        $setting = $this->oneOf($model->settings);
        $range = $setting->range ?? [0, 10];

        return ['unit' => $unit->id, 'setting' => $setting->id, 'situation' => $this->situation(), 'value' => match ($setting->kind) {
            SettingKind::Toggle => $this->oneOf(['0', '1']),
            SettingKind::Choice => $this->oneOf($setting->choices),
            SettingKind::Number => $this->number((int) ceil($range[0]), (int) floor($range[1])),
            default => $this->prose(20),
        }];
    }

    private function drawPrinted(): ?array
    {
        $control = $this->oneOf(['gain', 'fader']);
        [$unit, $point] = $this->point(fn (Point $point) => $point->span($control)?->scale !== null);
        if ($unit === null) {
            return null;
        }
        $marks = $point->span($control)->scale->marks;

        return ['unit' => $unit, 'point' => $point->id, 'control' => $control, 'mark' => (string) $this->oneOf($marks)[0], 'situation' => $this->situation()];
    }

    // Scenes and effects.

    private function drawAddScene(): ?array
    {
        $unit = $this->stage();

        return $unit === null ? null : ['unit' => $unit->id, 'name' => $this->newName(), 'like' => $this->oneOf(['', ...array_column($unit->scenes, 'id')])];
    }

    private function drawPicture(): ?array
    {
        $unit = $this->stage();
        if ($unit === null) {
            return null;
        }
        $sounds = array_keys(array_filter($this->rig->modelOf($unit)->points, fn (Point $point) => $point->inScenes));

        return ['unit' => $unit->id, 'picture' => $this->oneOf(['', ...array_column($unit->pictures, 'id')]), 'name' => $this->newName(),
            'delay_ms' => $this->oneOf(['', '20', '120.5']), 'sound' => $this->oneOf(['', ...$sounds]), 'tied' => $this->oneOf(['', '1'])];
    }

    private function drawRemovePicture(): ?array
    {
        return $this->inStage(['picture']);
    }

    private function drawScenePicture(): ?array
    {
        return $this->inStage(['picture', 'scene'], ['in' => $this->oneOf(['', '1'])]);
    }

    private function drawRenameScene(): ?array
    {
        return $this->inStage(['scene'], ['name' => $this->newName()]);
    }

    private function drawSceneSource(): ?array
    {
        return $this->inStage(['scene', 'point'], ['in' => $this->oneOf(['', '1'])]);
    }

    private function drawSoundAlways(): ?array
    {
        $unit = $this->stage();

        return $unit === null ? null : ['unit' => $unit->id, 'always' => $this->oneOf(['0', '1']),
            'point' => $this->oneOf(array_keys(array_filter($this->rig->modelOf($unit)->points, fn (Point $point) => $point->inScenes)))];
    }

    private function drawChooseScene(): ?array
    {
        return $this->inStage(['scene'], ['situation' => $this->situation()]);
    }

    private function drawRemoveScene(): ?array
    {
        return $this->inStage(['scene']);
    }

    private function drawAddEffect(): ?array
    {
        [$unit, $point] = $this->point(fn (Point $point) => $point->effects !== null);

        return $unit === null ? null : ['unit' => $unit, 'point' => $point->id, 'kind' => $this->case(EffectKind::class)];
    }

    private function drawEffect(): ?array
    {
        return $this->ofEffect(['name' => $this->oneOf(['', mb_substr($this->newName(), 0, 40)]), 'delay_ms' => $this->oneOf(['', '12']),
            'db' => $this->oneOf(['', '-3'])]);
    }

    private function drawSwitchEffect(): ?array
    {
        return $this->ofEffect(['on' => $this->oneOf(['0', '1']), 'situation' => $this->situation()]);
    }

    private function drawMoveEffect(): ?array
    {
        return $this->ofEffect(['earlier' => $this->oneOf(['', '1'])]);
    }

    private function drawRemoveEffect(): ?array
    {
        return $this->ofEffect([]);
    }

    // Situations.

    private function drawAddSituation(): array
    {
        return ['name' => $this->newName(), 'copy_of' => $this->situation()];
    }

    private function drawRemoveSituation(): array
    {
        return ['which' => $this->override()];
    }

    private function drawAbsent(): array
    {
        return ['which' => $this->id($this->rig->situations), 'unit' => $this->id($this->rig->units), 'back' => $this->oneOf(['', '1'])];
    }

    private function drawPulled(): array
    {
        return ['which' => $this->id($this->rig->situations), 'cable' => $this->id($this->rig->cables), 'back' => $this->oneOf(['', '1'])];
    }

    private function drawClearPlugs(): array
    {
        $situations = array_filter($this->rig->situations, fn ($one) => $one->plugged !== [] || $one->pulled !== []);

        return ['which' => $this->id($situations)];
    }

    private function drawClearChange(): ?array
    {
        $situation = $this->oneOf(array_filter($this->rig->situations, fn ($one) => $one->changes !== []));
        if ($situation === false) {
            return null;
        }
        $change = $this->oneOf($situation->changes);

        $only = $change->at instanceof RouteRef ? ['on', 'db', 'tap'] : ['mute', 'fader', 'gain'];

        return ['which' => $situation->id, ...$this->oneOf([[], [
            'at' => (string) $change->at, 'is_pick' => $change->set instanceof Pick ? '1' : '0', 'only' => $this->oneOf(['', ...$only]),
        ]])];
    }

    // What is written down.

    private function drawReason(): array
    {
        return ['about' => $this->element(), 'why' => $this->prose(), 'leave_alone' => $this->oneOf(['0', '1'])];
    }

    private function drawFact(): array
    {
        return ['about' => $this->element(), 'with' => $this->oneOf(['', $this->element()]), 'certainty' => $this->oneOf(['', 'stated', 'assumed', 'proven', 'fails']),
            'what' => $this->prose(60).'.', 'by' => $this->prose(20), 'on' => $this->oneOf(['', '2026-02-28']), 'firmware' => '1.2', 'proof' => $this->prose(),
            'minutes' => (string) mt_rand(0, 60)];
    }

    private function drawMeasure(): array
    {
        $kind = $this->oneOf(MeasureKind::cases());
        [$least, $most] = $kind->range();

        return ['about' => $this->element(), 'kind' => $kind->value, 'value' => $this->oneOf(['', $this->number((int) ceil($least), (int) min($least + 100, floor($most)))])];
    }

    private function drawProve(): ?array
    {
        $fact = $this->oneOf($this->rig->papers->facts);

        return $fact === false ? null : ['about' => (string) $fact->about, 'with' => (string) $fact->with, 'certainty' => $this->oneOf(['proven', 'fails']),
            'by' => $this->prose(20), 'on' => '2026-02-28', 'firmware' => ''];
    }

    private function drawShowStep(): array
    {
        return ['step' => $this->oneOf(['', ...array_column($this->rig->papers->steps, 'id')]), 'text' => $this->prose(40).'.', 'phase' => $this->case(Phase::class),
            'at_min' => $this->oneOf(['', (string) mt_rand(-60, 60)]), 'wait_s' => $this->oneOf(['', '30'])];
    }

    private function drawMoveShowStep(): array
    {
        return ['step' => $this->oneOf(array_column($this->rig->papers->steps, 'id')), 'up' => $this->oneOf(['', '1'])];
    }

    private function drawRemoveShowStep(): array
    {
        return ['step' => $this->oneOf(array_column($this->rig->papers->steps, 'id'))];
    }

    private function drawAccept(): ?array
    {
        $one = $this->oneOf([...$this->found()->causes, ...$this->found()->findings]);

        return $one === false ? null : ['evidence' => $one->evidence(), 'why' => $this->prose(30).'.'];
    }

    private function drawReopen(): array
    {
        return ['evidence' => $this->oneOf(array_column($this->rig->papers->accepted, 'evidence'))];
    }

    // What is chosen from.

    private function found(): FoundCauses
    {
        return $this->causes ??= Causes::of($this->record, $this->rig);
    }

    /** @return array<string, array<string, Device>> by computer */
    private function devices(): array
    {
        if ($this->devices === null) {
            $this->devices = [];
            $lists = new DeviceLists($this->rig, new Wiring($this->rig));
            foreach ($this->rig->units as $unit) {
                if ($this->rig->modelOf($unit)->family->isHost()) {
                    $this->devices[$unit->id] = $lists->of($unit->id);
                }
            }
        }

        return $this->devices;
    }

    /** @return array{string, Device|null} */
    private function computerDevice(): array
    {
        $lists = array_filter($this->devices());
        $computer = $this->oneOf(array_keys($lists));

        return $computer === false ? ['', null] : [$computer, $this->oneOf($lists[$computer]) ?: null];
    }

    /** @return array{Unit|null, EquipmentModel|null} */
    private function unitWith(callable $is): array
    {
        $unit = $this->oneOf(array_filter($this->rig->units, fn (Unit $unit) => $is($this->rig->modelOf($unit))));

        return $unit === false ? [null, null] : [$unit, $this->rig->modelOf($unit)];
    }

    /** @return array{string|null, Point|null} */
    private function point(callable $is): array
    {
        [$unit, $model] = $this->unitWith(fn (EquipmentModel $model) => array_filter($model->points, $is) !== []);

        return $unit === null ? [null, null] : [$unit->id, $this->oneOf(array_filter($model->points, $is))];
    }

    /** @return list<string> */
    private function points(PointKind $kind): array
    {
        $found = [];
        foreach ($this->rig->units as $unit) {
            foreach ($this->rig->modelOf($unit)->points as $point) {
                if ($point->kind === $kind) {
                    $found[] = "{$unit->id}/{$point->id}";
                }
            }
        }

        return $found;
    }

    /** @return list<SocketRef> */
    private function socketRefs(): array
    {
        $found = [];
        foreach ($this->rig->units as $unit) {
            foreach (array_keys($this->rig->modelOf($unit)->sockets) as $socket) {
                $found[] = new SocketRef($unit->id, (string) $socket);
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function sockets(): array
    {
        return array_map(strval(...), $this->socketRefs());
    }

    /** A unit with scenes, or that can have some. */
    private function stage(): ?Unit
    {
        return $this->unitWith(fn (EquipmentModel $model) => array_filter($model->points, fn (Point $point) => $point->inScenes) !== [])[0];
    }

    /**
     * @param  list<string>  $needs  of picture, scene and point
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>|null
     */
    private function inStage(array $needs, array $more = []): ?array
    {
        $units = array_filter($this->rig->units, fn (Unit $unit) => (! in_array('picture', $needs, true) || $unit->pictures !== [])
            && (! in_array('scene', $needs, true) || $unit->scenes !== []));
        $unit = $this->oneOf($units);
        if ($unit === false) {
            return null;
        }
        $from = ['picture' => array_column($unit->pictures, 'id'), 'scene' => array_column($unit->scenes, 'id'),
            'point' => array_keys(array_filter($this->rig->modelOf($unit)->points, fn (Point $point) => $point->inScenes))];

        return ['unit' => $unit->id, ...array_map($this->oneOf(...), array_intersect_key($from, array_flip($needs))), ...$more];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>|null
     */
    private function ofEffect(array $more): ?array
    {
        $unit = $this->oneOf(array_filter($this->rig->units, fn (Unit $unit) => $unit->effects !== []));

        return $unit === false ? null : ['unit' => $unit->id, 'effect' => $this->oneOf($unit->effects)->id, ...$more];
    }

    private function element(): string
    {
        $unit = $this->oneOf($this->rig->units);
        $of = ['places', 'units', 'sources', 'listeners', 'situations', 'cables'];
        $collection = $this->oneOf(array_values(array_filter($of, fn (string $one) => $this->rig->{$one} !== [])));
        $whole = "{$collection}/".$this->id($this->rig->{$collection});
        $point = $unit === false ? false : $this->oneOf(array_keys($this->rig->modelOf($unit)->points));
        $wish = $this->oneOf($this->rig->wishes);

        return $this->oneOf(array_values(array_filter([$whole, $whole, $point === false ? '' : "units/{$unit->id}/points/{$point}",
            $wish === false ? '' : "wishes/{$wish->source}/{$wish->listener}"])));
    }

    private function situation(): string
    {
        return (string) $this->oneOf(['', ...array_keys($this->rig->situations)]);
    }

    /** A situation that is not the base. */
    private function override(): string|false
    {
        return $this->id(array_filter($this->rig->situations, fn ($one) => ! $this->rig->isBase($one->id)));
    }

    private function newName(): string
    {
        return $this->oneOf(['Booth', 'Lamp', 'Pier', 'Ärmel', 'Ναός', 'Бар', 'ميناء', 'Gull']).' '.mt_rand(1, 99999);
    }

    private function prose(int $most = 200): string
    {
        return mb_substr(str_repeat($this->oneOf(['Left of the door. ', 'Ask the caretaker; ', 'Ünder the fl00r, ']), mt_rand(1, 8)), 0, $most - 1);
    }

    private function number(int $least, int $most): string
    {
        return (string) $this->oneOf([mt_rand($least, max($least, $most)), mt_rand($least, max($least, $most - 1)).'.5']);
    }

    /** @param  class-string<\BackedEnum>  $enum */
    private function case(string $enum): string
    {
        return (string) $this->oneOf($enum::cases())->value;
    }

    /** @param  array<array-key, mixed>  $things */
    private function id(array $things): string|false
    {
        $id = $this->oneOf(array_keys($things));

        return $id === false ? false : (string) $id;
    }

    /** @param  array<array-key, mixed>  $of */
    private function oneOf(array $of): mixed
    {
        return $of === [] ? false : array_values($of)[mt_rand(0, count($of) - 1)];
    }

    /**
     * @param  list<string>  $of
     * @return list<string>
     */
    private function some(array $of, int $most, int $least = 1): array
    {
        for ($i = count($of) - 1; $i > 0; $i--) {
            $j = mt_rand(0, $i);
            [$of[$i], $of[$j]] = [$of[$j], $of[$i]];
        }

        return array_slice($of, 0, mt_rand(min($least, $most), $most));
    }
}
