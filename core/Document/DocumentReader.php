<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Controls\ControlKind;
use HiddenWire\Core\Equipment\Controls\Controls;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Consistency;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Link;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Measure;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\OperatingSystem;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Papers;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Reason;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\ShowStep;
use HiddenWire\Core\Rig\Side;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Unlisted;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/**
 * Reads a rig document, format version 1 to 3 (docs/format/). All or nothing: either a rig, or every offence with its JSON pointer.
 */
final class DocumentReader
{
    public const FORMAT = 'hidden-wire/rig';

    /** What is written; earlier ones are read, too. */
    public const VERSION = 3;

    /** Problems past this many are cut off: nobody reads them, and a hostile file could make millions. */
    public const MAX_PROBLEMS = 200;

    /** @var \ArrayObject<int, Problem> */
    private \ArrayObject $problems;

    private int $version = self::VERSION;

    /** @var array<string, list<string>> ids of elements that are there but could not be read */
    private array $unreadable = [];

    /** @throws InvalidDocument */
    public function read(string $text): Rig
    {
        return $this->readData(Json::decode($text));
    }

    /**
     * A document of our own keeping: what is physically impossible and was let in once is read, and told by {@see Rig::$faults}; code
     * points that are no characters, which were let in once too, are left out.
     *
     * @throws InvalidDocument
     */
    public function readStored(string $text): Rig
    {
        return $this->readData(Json::decode(PlainText::withoutNoCharacters($text)), isStored: true);
    }

    /**
     * Holds a document that is about to be kept to the very rules by which it will be read again.
     *
     * @param  array<string, EquipmentModel>|null  $models  models that were read before, where the document has the same; null to read
     *     them too
     *
     * @throws InvalidRig with every offence
     */
    public function judge(string $document, ?array $models = null): void
    {
        try {
            $this->readData(
                Json::decode($models === null ? $document : DocumentWriter::withoutModels($document)),
                isStored: true,
                models: $models,
            );
        } catch (InvalidDocument $e) {
            throw new InvalidRig($e->problems);
        }
    }

    /**
     * From data as {@see Json::decode()} gives it.
     *
     * @param  bool  $isStored  from our own keeping
     * @param  array<string, EquipmentModel>|null  $models  instead of those in the data
     *
     * @throws InvalidDocument
     */
    public function readData(mixed $data, bool $isStored = false, ?array $models = null): Rig
    {
        $this->problems = $this->emptyList();
        $this->unreadable = [];
        if (! $data instanceof \stdClass) {
            throw InvalidDocument::whole('A rig document is one JSON object.');
        }
        if (($data->format ?? null) !== self::FORMAT) {
            throw new InvalidDocument([new Problem('/format', 'This is no rig document: "format" has to be "'.self::FORMAT.'".')]);
        }
        if (! in_array($data->version ?? null, range(1, self::VERSION), true)) {
            throw new InvalidDocument([new Problem(
                '/version',
                'This version of the format is not known here: "version" has to be a whole number from 1 to '.self::VERSION.'.',
            )]);
        }
        $this->version = $data->version;
        $document = new Fields($data, '', $this->problems);
        $document->raw('format');
        $document->raw('version');
        $parts = new RigParts(
            $document->text('name', Bounds::NAME, needed: true) ?? '',
            $document->text('summary', Bounds::SUMMARY) ?? '',
            $this->each($document, 'places', $this->place(...)),
            $models === null ? $this->models($document) : $this->given($document, $models),
            $this->each($document, 'units', $this->unit(...)),
            $this->each($document, 'cables', $this->cable(...)),
            $this->each($document, 'devices', $this->deviceSettings(...)),
            $this->each($document, 'picks', $this->pick(...)),
            $this->each($document, 'air', $this->air(...)),
            $this->each($document, 'sources', $this->source(...)),
            $this->each($document, 'listeners', $this->listener(...)),
            $this->each($document, 'wishes', $this->wish(...)),
            $this->each($document, 'situations', $this->situation(...)),
            $isStored ? null : [],
            $this->version < 2 ? new Papers : $this->papers($document),
            $this->version < 2 ? [] : $this->each($document, 'balances', $this->balance(...), Bounds::BALANCES),
        );
        $document->done();
        $problems = array_values($this->problems->getArrayCopy());
        if ($problems === []) {
            try {
                return new Rig($parts);
            } catch (InvalidRig $e) {
                throw new InvalidDocument(array_slice($e->problems, 0, self::MAX_PROBLEMS));
            }
        }
        $problems = [...$problems, ...(new Consistency($parts, $this->unreadable))->problems()];

        throw new InvalidDocument(array_slice($problems, 0, self::MAX_PROBLEMS));
    }

    /**
     * @template T of object
     *
     * @param  callable(Fields): (T|null)  $read
     * @return array<int, T> by position in the document
     */
    private function each(Fields $of, string $key, callable $read, int $most = 20000): array
    {
        $things = [];
        foreach ($of->list($key, $most) as $i => $data) {
            $thing = $read($of->inside($data, $of->at($key).'/'.$i));
            if ($thing !== null) {
                $things[$i] = $thing;
            } elseif ($data instanceof \stdClass && is_string($data->id ?? null)) {
                $this->unreadable[$key][] = $data->id;
            }
        }

        return $things;
    }

    /** @return array<string, EquipmentModel> */
    private function models(Fields $document): array
    {
        $models = [];
        $reader = new ModelReader($this->version);
        foreach ($document->map('models') as $id => $data) {
            $id = (string) $id;
            $pointer = $document->at('models').'/'.Problem::token($id);
            $sound = $document->asId($id, $pointer) !== null;
            $model = $reader->read($id, $document->inside($data, $pointer));
            if ($model !== null && $sound) {
                $models[$id] = $model;
            } else {
                $this->unreadable['models'][] = $id;
            }
        }

        return $models;
    }

    /**
     * @param  array<string, EquipmentModel>  $models
     * @return array<string, EquipmentModel>
     */
    private function given(Fields $document, array $models): array
    {
        $document->raw('models');

        return $models;
    }

    private function place(Fields $place): ?Place
    {
        $id = $place->id('id');
        $kind = $place->choice('kind', PlaceKind::class);
        $name = $place->text('name', Bounds::NAME, needed: true);

        return $place->done() && $id !== null && $kind !== null && $name !== null ? new Place($id, $kind, $name) : null;
    }

    private function unit(Fields $unit): ?Unit
    {
        $id = $unit->id('id');
        $model = $unit->id('model');
        $place = $unit->id('place');
        $name = $unit->text('name', Bounds::NAME, needed: true);
        $firmware = $unit->text('firmware', Bounds::NOTE) ?? '';
        $serial = $unit->text('serial', Bounds::NOTE) ?? '';
        $notes = $unit->text('notes', Bounds::NOTES) ?? '';
        $needs = $this->ids($unit, 'needs');
        $start = $unit->whole('start', ...Bounds::START);
        $atLogin = $unit->flag('at_login') ?? false;
        $points = [];
        $routes = [];
        $values = [];
        $settings = $unit->object('settings');
        if ($settings !== null) {
            foreach ($settings->map('points') as $key => $data) {
                $points[(string) $key] = $this->pointSettings($settings->inside(
                    $data,
                    $settings->at('points').'/'.Problem::token((string) $key),
                ));
            }
            foreach ($settings->map('routes') as $key => $data) {
                $routes[(string) $key] = $this->routeSettings($settings->inside(
                    $data,
                    $settings->at('routes').'/'.Problem::token((string) $key),
                ));
            }
            foreach ($this->version < 2 ? [] : $settings->map('values') as $key => $value) {
                $read = ModelReader::value($value);
                if ($read === null) {
                    $settings->problem(
                        $settings->at('values').'/'.Problem::token((string) $key),
                        'This is a text, a number, true or false.',
                    );
                } else {
                    $values[(string) $key] = $read;
                }
            }
            $settings->done();
        }
        $scenes = $this->version < 2 ? [] : array_values($this->each($unit, 'scenes', $this->scene(...), Bounds::SCENES));
        $pictures = $this->version < 2 ? [] : array_values($this->each($unit, 'pictures', $this->picture(...), Bounds::SCENES));
        $always = $this->version < 2 ? [] : $this->ids($unit, 'always');
        [$price, $supplier] = $this->purchase($unit);
        $links = $this->version < 2 ? [] : array_values($this->each($unit, 'links', $this->link(...), Bounds::LINKS));
        $readyS = $this->version < 2 ? null : $unit->whole('ready_s', ...Bounds::WAIT_S);
        $system = $this->version < 2 ? null : $this->system($unit);
        [$licence, $edition] = $this->version < 2
            ? ['', '']
            : [$unit->text('licence', Bounds::NAME) ?? '', $unit->text('edition', Bounds::NOTE) ?? ''];
        $names = $this->version < 2 ? [] : $this->pointNames($unit);
        $follows = $this->version < 2 ? [] : $this->follows($unit);
        $linked = $this->version < 2 ? [] : $this->linked($unit);
        $effects = $this->version < 2 ? [] : array_values($this->each($unit, 'effects', $this->effect(...), Bounds::EFFECTS));

        return $unit->done() && $id !== null && $model !== null && $place !== null && $name !== null
            ? new Unit($id, $model, $place, $name, $firmware, $serial, $notes, $needs, $start, $atLogin, $points, $routes,
                $price, $supplier, $links, $readyS, $system, $licence, $edition, $values, $names,
                $follows, $linked, $effects, $scenes, $always, $pictures) : null;
    }

    /** @return array<string, string> names of somebody's own, by point */
    private function pointNames(Fields $unit): array
    {
        $names = [];
        foreach ($unit->map('names') as $point => $name) {
            if (! is_string($name) || trim($name) === '' || mb_strlen($name) > Bounds::POINT_NAME) {
                $unit->problem(
                    $unit->at('names').'/'.Problem::token((string) $point),
                    'A name is a text of '.Bounds::POINT_NAME.' characters at most, and not empty.',
                );
            } else {
                $names[(string) $point] = $name;
            }
        }

        return $names;
    }

    private function effect(Fields $effect): ?Effect
    {
        $id = $effect->id('id');
        $at = $effect->id('at');
        $kind = $effect->choice('kind', EffectKind::class);
        $name = $effect->text('name', Bounds::POINT_NAME) ?? '';
        $on = $effect->flag('on') ?? true;
        $delay = $effect->milliseconds('delay_ms');
        if ($delay !== null && $delay->value() > Bounds::EFFECT_MS[1]) {
            $delay = $effect->problem($effect->at('delay_ms'), 'An effect holds its sound back by '.Bounds::EFFECT_MS[1].' ms at most.');
        }
        $db = $effect->decibels('db');
        if ($db !== null && abs($db->value()) > Bounds::EFFECT_DB[1]) {
            $db = $effect->problem(
                $effect->at('db'),
                'An effect changes the level by '.Bounds::EFFECT_DB[0].' to '.Bounds::EFFECT_DB[1].' dB.',
            );
        }
        $offFor = $this->ids($effect, 'off_for');

        return $effect->done() && $id !== null && $at !== null && $kind !== null
            ? new Effect($id, $at, $kind, $name, $on, $delay, $db, $offFor)
            : null;
    }

    private function scene(Fields $scene): ?Scene
    {
        $id = $scene->id('id');
        $name = $scene->text('name', Bounds::SHORT_NAME, needed: true);
        $sources = $this->ids($scene, 'sources');
        $pictures = $this->ids($scene, 'pictures');

        return $scene->done() && $id !== null && $name !== null ? new Scene($id, $name, $sources, $pictures) : null;
    }

    private function picture(Fields $picture): ?Picture
    {
        $id = $picture->id('id');
        $name = $picture->text('name', Bounds::SHORT_NAME, needed: true);
        $delay = $picture->milliseconds('delay_ms');
        $sound = $picture->has('sound') ? $picture->id('sound') : null;
        $isTied = $picture->flag('tied') ?? false;
        if ($isTied && $sound === null && $picture->isSound()) {
            $picture->problem($picture->at('tied'), 'What goes with the picture is its "sound".');
        }

        return $picture->done() && $id !== null && $name !== null ? new Picture($id, $name, $delay, $sound, $isTied) : null;
    }

    private function sceneChoice(Fields $choice): ?SceneChoice
    {
        $unit = $choice->id('unit');
        $scene = $choice->id('scene');

        return $choice->done() && $unit !== null && $scene !== null ? new SceneChoice($unit, $scene) : null;
    }

    private function effectSwitch(Fields $switch): ?EffectSwitch
    {
        $unit = $switch->id('unit');
        $effect = $switch->id('effect');
        $on = $switch->flag('on');
        if ($switch->isSound() && $on === null) {
            $switch->problem($switch->at('on'), 'This is missing: whether it is on.');
        }

        return $switch->done() && $unit !== null && $effect !== null && $on !== null ? new EffectSwitch($unit, $effect, $on) : null;
    }

    /** @return array<string, Following> by point */
    private function follows(Fields $unit): array
    {
        $follows = [];
        foreach ($unit->map('follows') as $point => $data) {
            $fields = $unit->inside($data, $unit->at('follows').'/'.Problem::token((string) $point));
            $of = $fields->id('of');
            $withFader = $fields->flag('with_fader') ?? false;
            $except = $this->ids($fields, 'except');
            if ($fields->done() && $of !== null) {
                $follows[(string) $point] = new Following($of, $withFader, $except);
            }
        }

        return $follows;
    }

    /** @return list<list<string>> keys of routes that are linked */
    private function linked(Fields $unit): array
    {
        $linked = [];
        foreach ($unit->list('linked', 100) as $i => $keys) {
            $isList = is_array($keys) && count($keys) >= 2 && count($keys) <= 100 && array_filter($keys, is_string(...)) === $keys
                && count(array_unique($keys)) === count($keys);
            if ($isList) {
                $linked[] = array_values($keys);
            } else {
                $unit->problem($unit->at('linked').'/'.$i, 'This is a list of two routes or more, each once.');
            }
        }

        return $linked;
    }

    /** @return array{string, string} price and supplier */
    private function purchase(Fields $of): array
    {
        return $this->version < 2 ? ['', ''] : [$of->text('price', Bounds::PRICE) ?? '', $of->text('supplier', Bounds::SUPPLIER) ?? ''];
    }

    private function system(Fields $unit): ?OperatingSystem
    {
        $system = $unit->object('system');
        if ($system === null) {
            return null;
        }
        $name = $system->text('name', Bounds::NOTE, needed: true);
        $version = $system->text('version', Bounds::NOTE) ?? '';
        if ($version !== '' && preg_match('/'.SystemNeed::VERSION.'/D', $version) !== 1) {
            $system->problem($system->at('version'), 'A version is numbers with dots between them: 10.4.');
        }

        return $system->done() && $name !== null ? new OperatingSystem($name, $version) : null;
    }

    private function link(Fields $link): ?Link
    {
        $label = $link->text('label', Bounds::NAME, needed: true);
        $url = $link->text('url', Bounds::URL, needed: true);
        if ($url !== null && ! Link::isAddress($url)) {
            $url = $link->problem($link->at('url'), 'An address begins with http:// or https:// and has no spaces.');
        }

        return $link->done() && $label !== null && $url !== null ? new Link($label, $url) : null;
    }

    private function papers(Fields $document): Papers
    {
        return new Papers(
            $this->each($document, 'reasons', $this->reason(...), Bounds::PAPERS),
            $this->each($document, 'steps', $this->step(...), Bounds::PAPERS),
            $this->each($document, 'accepted', $this->acceptance(...), Bounds::PAPERS),
            $this->version < 2 ? [] : $this->each($document, 'facts', $this->fact(...), Bounds::PAPERS),
            $this->version < 2 ? [] : $this->each($document, 'measures', $this->measure(...), Bounds::PAPERS),
        );
    }

    private function measure(Fields $measure): ?Measure
    {
        $about = $this->element($measure, 'about');
        $kind = $measure->choice('kind', MeasureKind::class);
        $value = $kind === null ? $measure->raw('value') : $measure->number('value', $kind->range()[0], $kind->range()[1], needed: true);

        return $measure->done() && $about !== null && $kind !== null && is_float($value) ? new Measure($about, $kind, $value) : null;
    }

    private function fact(Fields $fact): ?Fact
    {
        $about = $this->element($fact, 'about');
        $with = $fact->has('with') ? $this->element($fact, 'with') : null;
        $certainty = $fact->choice('certainty', Certainty::class);
        $what = $fact->text('what', Bounds::STEP, needed: true);
        $by = $fact->text('by', Bounds::SHORT_NAME) ?? '';
        $on = $fact->text('on', Bounds::SHORT_NAME) ?? '';
        if ($on !== '' && preg_match('/^'.Fact::DAY.'$/D', $on) !== 1) {
            $fact->problem($fact->at('on'), 'A day is written YYYY-MM-DD: 2026-02-28.');
        }
        $firmware = $fact->text('firmware', Bounds::SHORT_NAME) ?? '';
        $proof = $fact->text('proof', Bounds::WHY) ?? '';
        $minutes = $fact->whole('minutes', ...Bounds::MINUTES);

        return $fact->done() && $about !== null && $certainty !== null && $what !== null
            ? new Fact($about, $certainty, $what, $with, $by, $on, $firmware, $proof, $minutes)
            : null;
    }

    private function element(Fields $of, string $key): ?ElementRef
    {
        $text = $of->text($key, 300, needed: true);

        return $text === null ? null : ElementRef::read($text)
            ?? $of->problem($of->at($key), 'This has to lead to an element, such as "units/mixer" or "cables/w-07".');
    }

    private function reason(Fields $reason): ?Reason
    {
        $about = $this->element($reason, 'about');
        $why = $reason->text('why', Bounds::WHY) ?? '';
        $leaveAlone = $reason->flag('leave_alone') ?? false;
        if ($reason->isSound() && trim($why) === '' && ! $leaveAlone) {
            $reason->problem($reason->at('why'), 'A reason says why, or "leave_alone", or both.');
        }

        return $reason->done() && $about !== null ? new Reason($about, $why, $leaveAlone) : null;
    }

    private function step(Fields $step): ?ShowStep
    {
        $id = $step->id('id');
        $phase = $step->choice('phase', Phase::class);
        $text = $step->text('text', Bounds::STEP, needed: true);
        $atMin = $step->whole('at_min', ...Bounds::AT_MIN);
        $waitS = $step->whole('wait_s', ...Bounds::WAIT_S) ?? 0;

        return $step->done() && $id !== null && $phase !== null && $text !== null ? new ShowStep($id, $phase, $text, $atMin, $waitS) : null;
    }

    private function acceptance(Fields $one): ?Acceptance
    {
        $evidence = $one->text('evidence', 16, needed: true);
        if ($evidence !== null && preg_match('/^[0-9a-f]{16}$/D', $evidence) !== 1) {
            $one->problem($one->at('evidence'), 'This has to be 16 hexadecimal digits.');
        }
        $says = $one->text('says', Bounds::WHY, needed: true);
        $why = $one->text('why', Bounds::WHY, needed: true);

        return $one->done() && $evidence !== null && $says !== null && $why !== null ? new Acceptance($evidence, $says, $why) : null;
    }

    private function pointSettings(Fields $fields): PointSettings
    {
        $settings = PointSettings::read($fields);
        $fields->done();

        return $settings;
    }

    private function routeSettings(Fields $fields): RouteSettings
    {
        $settings = new RouteSettings($fields->flag('on'), $fields->decibels('db'), $fields->choice('tap', Tap::class, needed: false));
        $fields->done();

        return $settings;
    }

    private function cable(Fields $cable): ?Cable
    {
        $id = $cable->id('id');
        $label = $cable->text('label', Bounds::LABEL, needed: true);
        $type = $cable->choice('type', CableType::class);
        $from = $this->socketRef($cable, 'from');
        $to = $this->socketRef($cable, 'to');
        $length = $cable->number('length_m', ...Bounds::LENGTH_M);
        $colour = $cable->text('colour', Bounds::COLOUR) ?? '';
        $owned = $cable->flag('owned') ?? true;
        $lanes = null;
        if ($cable->has('lanes')) {
            $lanes = [];
            foreach ($cable->list('lanes', 32) as $i => $pair) {
                $pointer = $cable->at('lanes').'/'.$i;
                if (! is_array($pair) || count($pair) !== 2 || ! is_string($pair[0]) || ! is_string($pair[1])) {
                    $cable->problem($pointer, 'A pair is [lane at the from end, lane at the to end].');

                    continue;
                }
                $lanes[] = [$pair[0], $pair[1]];
            }
        }

        [$price, $supplier] = $this->purchase($cable);

        return $cable->done() && $id !== null && $label !== null && $type !== null && $from !== null && $to !== null
            ? new Cable($id, $label, $type, $from, $to, $length, $colour, $owned, $lanes, $price, $supplier) : null;
    }

    private function deviceSettings(Fields $device): ?DeviceSettings
    {
        $computer = $device->id('computer');
        $ref = $this->deviceRef($device, 'device');
        $name = $device->text('name', Bounds::NAME) ?? '';
        $enabled = $device->flag('enabled') ?? true;
        $roles = [];
        foreach ($device->list('roles', 3) as $i => $value) {
            $role = $device->asChoice($value, Role::class, $device->at('roles').'/'.$i);
            if ($role !== null) {
                if (in_array($role, $roles, true)) {
                    $device->problem($device->at('roles').'/'.$i, 'This role is named twice.');
                }
                $roles[] = $role;
            }
        }
        $rate = $device->whole('rate_hz', ...Bounds::RATE_HZ);
        $bits = $device->whole('bits', ...Bounds::BITS);
        $mode = $device->choice('driver_mode', DriverMode::class, needed: false);
        [$db, $mute] = $this->systemLevel($device);
        $playsTo = $this->version >= 2 && $device->has('plays_to') ? $this->deviceRef($device, 'plays_to') : null;
        $unlisted = $this->version < 2 ? null : $device->choice('unlisted', Unlisted::class, needed: false);
        $processing = [];
        foreach ($this->version < 2 ? [] : $device->list('processing', count(Processing::cases())) as $i => $value) {
            $one = $device->asChoice($this->processing($value), Processing::class, $device->at('processing').'/'.$i);
            if ($one !== null && in_array($one, $processing, true)) {
                $device->problem($device->at('processing').'/'.$i, 'This is named twice.');
            } elseif ($one !== null) {
                $processing[] = $one;
            }
        }

        return $device->done() && $computer !== null && $ref !== null
            ? new DeviceSettings($computer, $ref, $name, $enabled, $roles, $rate, $bits, $mode, $db, $mute ?? false, $playsTo,
                $unlisted, $processing) : null;
    }

    /** What a system does to a device's sound, by its present word: two had others up to version 2. */
    private function processing(mixed $value): mixed
    {
        return $this->version > 2 || ! is_string($value) ? $value
            : ['enhancement' => Processing::ToneCorrection->value, 'spatial' => Processing::RoomSound->value][$value] ?? $value;
    }

    private function pick(Fields $pick): ?Pick
    {
        $at = $this->pointRef($pick, 'at');
        $chosen = $at === null ? null : $this->choice($pick, $at);

        return $pick->done() ? $chosen : null;
    }

    /** The chosen device of a pick, whether it stands in `picks` or in a situation's change. */
    private function choice(Fields $fields, PointRef $at): Pick
    {
        $device = $fields->has('device') ? $this->deviceRef($fields, 'device') : null;
        $default = $fields->choice('default', SystemDefault::class, needed: false);
        if ($fields->has('device') && $fields->has('default')) {
            $fields->problem($fields->at('default'), 'A pick names a device or follows a default, not both.');
        }

        return new Pick(
            $at,
            $device,
            $default,
            (new ModelReader)->channels($fields, 'channels'),
            $fields->choice('tap', Direction::class, needed: false),
            ...$this->pickLevel($fields),
            ...$this->opened($fields),
        );
    }

    /** @return array{DriverMode|null, list<DeviceRef>} how a pick opens its device, and which it takes besides */
    private function opened(Fields $fields): array
    {
        if ($this->version < 2) {
            return [null, []];
        }
        $also = [];
        foreach ($fields->list('also', Bounds::ALSO) as $i => $value) {
            $ref = $this->asDeviceRef($fields, $value, $fields->at('also').'/'.$i);
            if ($ref !== null) {
                $also[] = $ref;
            }
        }

        return [$fields->choice('mode', DriverMode::class, needed: false), $also];
    }

    /** @return array{Decibels|null, bool} */
    private function pickLevel(Fields $fields): array
    {
        [$db, $mute] = $this->systemLevel($fields);

        return [$db, $mute ?? false];
    }

    /** @return array{Decibels|null, bool|null} the system's own level of a device or program, and whether it is muted there */
    private function systemLevel(Fields $of): array
    {
        if ($this->version < 2) {
            return [null, null];
        }
        $db = $of->decibels('db');
        if ($db !== null && ($db->value() < Bounds::SYSTEM_DB[0] || $db->value() > Bounds::SYSTEM_DB[1])) {
            $db = $of->problem($of->at('db'), 'The system\'s level goes from '.Bounds::SYSTEM_DB[0].' to '.Bounds::SYSTEM_DB[1].' dB.');
        }

        return [$db, $of->flag('mute')];
    }

    private function air(Fields $path): ?AirPath
    {
        $from = $this->pointRef($path, 'from');
        $to = $this->pointRef($path, 'to');
        $db = $path->decibels('db', needed: true);
        $delay = $path->milliseconds('delay_ms');

        return $path->done() && $from !== null && $to !== null && $db !== null ? new AirPath($from, $to, $db, $delay) : null;
    }

    private function source(Fields $source): ?Source
    {
        $id = $source->id('id');
        $name = $source->text('name', Bounds::SHORT_NAME, needed: true);
        $kind = $source->choice('kind', SourceKind::class);
        $origins = $this->each($source, 'origins', function (Fields $origin): ?Origin {
            $at = $this->pointRef($origin, 'at');
            $db = $origin->decibels('db');
            $delay = $origin->milliseconds('delay_ms');

            return $origin->done() && $at !== null ? new Origin($at, $db ?? Decibels::zero(), $delay) : null;
        });

        $loudness = $this->version < 2 ? null : $source->decibels('loudness_db');
        $isMeasured = $this->version >= 2 && ($source->flag('measured') ?? false);
        if ($isMeasured && $loudness === null && $source->isSound()) {
            $source->problem($source->at('measured'), 'What was measured is the "loudness_db".');
        }

        return $source->done() && $id !== null && $name !== null && $kind !== null
            ? new Source($id, $name, $kind, $origins, $loudness, $isMeasured)
            : null;
    }

    private function listener(Fields $listener): ?Listener
    {
        $id = $listener->id('id');
        $name = $listener->text('name', Bounds::SHORT_NAME, needed: true);
        $kind = $listener->choice('kind', ListenerKind::class);
        $at = [];
        foreach ($listener->list('at', 100) as $i => $value) {
            $ref = $this->asPointRef($listener, $value, $listener->at('at').'/'.$i);
            if ($ref !== null) {
                $at[] = $ref;
            }
        }

        return $listener->done() && $id !== null && $name !== null && $kind !== null ? new Listener($id, $name, $kind, $at) : null;
    }

    private function wish(Fields $wish): ?Wish
    {
        $source = $wish->id('source');
        $listener = $wish->id('listener');
        $want = $wish->choice('want', Want::class);
        $own = $wish->flag('own_level') ?? false;
        $alone = $wish->flag('alone') ?? false;
        $situations = $this->ids($wish, 'situations');
        $treatment = $this->version < 2 ? null : $wish->choice('treatment', Treatment::class, needed: false);
        $side = $this->version < 2 ? null : $wish->choice('side', Side::class, needed: false);

        return $wish->done() && $source !== null && $listener !== null && $want !== null
            ? new Wish($source, $listener, $want, $own, $alone, $situations, $treatment, $side) : null;
    }

    private function balance(Fields $balance): ?Balance
    {
        $listener = $balance->id('listener');
        $like = $balance->id('like');
        $within = $balance->number('within_db', Bounds::WITHIN_DB[0], Bounds::WITHIN_DB[1], needed: true);

        return $balance->done() && $listener !== null && $like !== null && $within !== null
            ? new Balance($listener, $like, $within)
            : null;
    }

    private function situationLevel(Fields $level): ?SystemLevel
    {
        $computer = $level->id('computer');
        $ref = $this->deviceRef($level, 'device');
        [$db, $mute] = $this->systemLevel($level);
        if ($level->isSound() && $db === null && $mute === null) {
            $level->problem($level->pointer, 'This says a "db", a "mute", or both.');
        }

        return $level->done() && $computer !== null && $ref !== null ? new SystemLevel($computer, $ref, $db, $mute) : null;
    }

    private function situationSetting(Fields $set): ?SettingValue
    {
        $unit = $set->id('unit');
        $setting = $set->id('setting');
        $value = ModelReader::value($set->raw('value')) ?? $set->problem($set->at('value'), 'This is a text, a number, true or false.');

        return $set->done() && $unit !== null && $setting !== null && $value !== null ? new SettingValue($unit, $setting, $value) : null;
    }

    private function situation(Fields $situation): ?Situation
    {
        $id = $situation->id('id');
        $name = $situation->text('name', Bounds::SHORT_NAME, needed: true);
        $changes = $this->each($situation, 'changes', $this->change(...));
        $absent = $this->ids($situation, 'absent');
        $pulled = $this->ids($situation, 'pulled');
        $plugged = $this->version < 2 ? [] : $this->ids($situation, 'plugged');
        $effects = $this->version < 2 ? [] : $this->each($situation, 'effects', $this->effectSwitch(...));
        $scenes = $this->version < 2 ? [] : $this->each($situation, 'scenes', $this->sceneChoice(...));
        $defaults = $this->each($situation, 'defaults', $this->situationDefault(...));
        $levels = $this->version < 2 ? [] : $this->each($situation, 'levels', $this->situationLevel(...));
        $settings = $this->version < 2 ? [] : $this->each($situation, 'settings', $this->situationSetting(...));

        return $situation->done() && $id !== null && $name !== null
            ? new Situation($id, $name, $changes, $absent, $pulled, $defaults, $levels, $settings, $plugged,
                $effects, $scenes) : null;
    }

    private function situationDefault(Fields $default): ?SituationDefault
    {
        $computer = $default->id('computer');
        $direction = $default->choice('direction', Direction::class);
        $role = $default->choice('role', Role::class);
        $device = $this->deviceRef($default, 'device');

        return $default->done() && $computer !== null && $direction !== null && $role !== null && $device !== null
            ? new SituationDefault($computer, $direction, $role, $device) : null;
    }

    private function change(Fields $change): ?Change
    {
        $at = $change->raw('at');
        $isRoute = is_string($at) && str_contains($at, '>');
        $set = $change->object('set');
        if ($set === null) {
            $change->problem($change->at('set'), 'This is missing: an object that says what is set.');
        }
        if ($isRoute) {
            $ref = $this->routeRef($change, 'at');
            $to = $set === null ? null : $this->routeSettings($set);
            if ($to !== null && $set->isSound() && $to->isEmpty()) {
                $set->problem($set->pointer, 'Nothing is set: name on, db or tap.');
            }
        } else {
            $ref = $this->pointRef($change, 'at');
            $to = match (true) {
                $set === null || $ref === null => null,
                array_filter(['device', 'default', 'channels', 'mode', 'also'], $set->has(...)) !== [] => $this->choice($set, $ref),
                default => $this->pointSettings($set),
            };
            $set?->done();
            if ($to instanceof PointSettings && $set->isSound() && $to->isEmpty()) {
                $set->problem($set->pointer, 'Nothing is set: name '.implode(', ', array_map(
                    fn (ControlKind $kind) => $kind->key(),
                    Controls::all(),
                )).', or a device or default.');
            }
        }

        return $change->done() && $ref !== null && $to !== null ? new Change($ref, $to) : null;
    }

    /** @return list<string> */
    private function ids(Fields $of, string $key): array
    {
        $ids = [];
        foreach ($of->list($key, 1000) as $i => $value) {
            $id = $of->asId($value, $of->at($key).'/'.$i);
            if ($id !== null) {
                if (in_array($id, $ids, true)) {
                    $of->problem($of->at($key).'/'.$i, "\"{$id}\" is named twice.");
                }
                $ids[] = $id;
            }
        }

        return $ids;
    }

    private function socketRef(Fields $of, string $key): ?SocketRef
    {
        $tokens = $this->path($of, $of->raw($key), $of->at($key), 2, 2, 'unit/socket');

        return $tokens === null ? null : new SocketRef($tokens[0], $tokens[1]);
    }

    private function pointRef(Fields $of, string $key): ?PointRef
    {
        return $this->asPointRef($of, $of->raw($key), $of->at($key));
    }

    private function asPointRef(Fields $of, mixed $value, string $pointer): ?PointRef
    {
        $tokens = $this->path($of, $value, $pointer, 2, 2, 'unit/point');

        return $tokens === null ? null : new PointRef($tokens[0], $tokens[1]);
    }

    private function routeRef(Fields $of, string $key): ?RouteRef
    {
        $tokens = $this->path($of, $of->raw($key), $of->at($key), 2, 2, 'unit/from>to');

        return $tokens === null ? null : new RouteRef($tokens[0], $tokens[1]);
    }

    private function deviceRef(Fields $of, string $key): ?DeviceRef
    {
        return $this->asDeviceRef($of, $of->raw($key), $of->at($key));
    }

    private function asDeviceRef(Fields $of, mixed $value, string $pointer): ?DeviceRef
    {
        $tokens = $this->path($of, $value, $pointer, 2, 3, 'unit/socket/lane, or unit/point for a virtual one');

        return match (true) {
            $tokens === null => null,
            count($tokens) === 3 => DeviceRef::lane($tokens[0], $tokens[1], $tokens[2]),
            default => DeviceRef::point($tokens[0], $tokens[1]),
        };
    }

    /** @return list<string>|null */
    private function path(Fields $of, mixed $value, string $pointer, int $least, int $most, string $form): ?array
    {
        $tokens = is_string($value) && strlen($value) <= 260 ? explode('/', $value) : [];
        $count = count($tokens);
        if ($count < $least || $count > $most || in_array('', $tokens, true)) {
            return $of->problem($pointer, "This has to be a reference of the form {$form}.");
        }

        return $tokens;
    }

    /** @return \ArrayObject<int, Problem> */
    private function emptyList(): \ArrayObject
    {
        return new \ArrayObject;
    }
}
