<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\AutoMute;
use HiddenWire\Core\Equipment\Capsule;
use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Condition;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EffectRack;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Equipment\Holds;
use HiddenWire\Core\Equipment\InstallNeed;
use HiddenWire\Core\Equipment\Lamp;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Limits;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\MadeAt;
use HiddenWire\Core\Equipment\MadeBy;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\Phantom;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Rule;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SettingEffect;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Equipment\Standing;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Problem;

/** Reads one equipment model, of a document or of the catalogue. */
final class ModelReader
{
    /** The widest device or point that the format takes. */
    public const MAX_CHANNELS = Bounds::CHANNELS;

    public const MOST_ROUTES = 4000;

    private const MOST_DEVICES = 32;

    private const MOST_CONDITIONS = 20;

    private const MOST_OF_CHAIN = 20;

    private const MOST_MARKS = 60;

    private const FARTHEST_MARK = 100_000;

    private const MOST_CHOICES = 60;

    private const MOST_ZONES = 12;

    private const MOST_EFFECTS = 200;

    private const MOST_GROWTHS = 8;

    private const MOST_PARTS = 20;

    private const MOST_RATES = 12;

    /** @param  int  $version  of the format that it is written in */
    public function __construct(private readonly int $version = DocumentReader::VERSION)
    {
    }

    public function read(string $id, Fields $model): ?EquipmentModel
    {
        $name = $model->text('name', Bounds::NAME, needed: true);
        $family = $model->choice('family', Family::class);
        $summary = $model->text('summary', Bounds::MODEL_SUMMARY);
        $supply = $model->choice('supply', Supply::class, needed: false);
        $sockets = $this->each($model, 'sockets', $this->socket(...), 200);
        $points = $this->each($model, 'points', $this->point(...), 400);
        $routes = $this->each($model, 'routes', $this->route(...), self::MOST_ROUTES);
        $limits = $this->limits($model->object('limits'));
        $autoMutes = $this->autoMutes($model);
        [$runsOn, $asks] = $this->version < 2 ? [[], []] : [$this->runsOn($model), $this->asks($model)];
        $settings = $this->version < 2 ? [] : $this->each($model, 'settings', $this->setting(...), 100);
        $made = $this->version < 2 ? null : $this->madeAt($model);
        $holds = $this->version < 2 ? null : $model->choice('holds', Holds::class, needed: false);
        $meters = $this->version < 2 ? [] : $this->each($model, 'meters', $this->meter(...), 400);
        $lamps = $this->version < 2 ? [] : $this->each($model, 'lamps', $this->lamp(...), 400);
        $takes = $this->version < 2 ? null : $model->choice('takes', Takes::class, needed: false);
        $rules = $this->version < 2 ? [] : $this->each($model, 'rules', $this->rule(...), 100);
        $grows = $this->version < 2 ? [] : $this->each($model, 'grows', $this->growth(...), self::MOST_GROWTHS);
        $draws = $this->version < 2 ? null : $model->whole('draws_ma', ...Bounds::MILLIAMPERES);

        return $model->done() && $name !== null && $family !== null && $summary !== null && $limits !== null
            ? new EquipmentModel($id, $name, $family, $summary, $supply ?? Supply::None, $sockets, $points, $routes, $limits, $autoMutes,
                $runsOn, $asks, $settings, $made, $holds, $meters, $lamps, $takes ?? Takes::Chosen, $rules, $grows, $draws)
            : null;
    }

    /** @return list<SystemNeed> */
    private function runsOn(Fields $model): array
    {
        $needs = [];
        foreach ($model->list('runs_on', Bounds::SYSTEMS) as $i => $data) {
            $need = $model->inside($data, $model->at('runs_on').'/'.$i);
            $system = $need->text('system', Bounds::NOTE, needed: true);
            $from = $need->text('from', Bounds::NOTE) ?? '';
            if ($from !== '' && preg_match('/'.SystemNeed::VERSION.'/D', $from) !== 1) {
                $need->problem($need->at('from'), 'A version is numbers with dots between them: 10.4.');
            }
            if ($need->done() && $system !== null) {
                $needs[] = new SystemNeed($system, $from);
            }
        }

        return $needs;
    }

    /** @return list<InstallNeed> */
    private function asks(Fields $model): array
    {
        $asks = [];
        foreach ($model->list('asks', count(InstallNeed::cases())) as $i => $value) {
            $ask = $model->asChoice($value, InstallNeed::class, $model->at('asks').'/'.$i);
            if ($ask !== null && in_array($ask, $asks, true)) {
                $model->problem($model->at('asks').'/'.$i, 'This is named twice.');
            } elseif ($ask !== null) {
                $asks[] = $ask;
            }
        }

        return $asks;
    }

    /**
     * Reads a list of things that have an id (a route's is its key) and refuses an id that comes twice.
     *
     * @template T of Socket|Lane|Point|Route|Setting|Meter|Lamp|Rule|Growth
     *
     * @param  callable(Fields): (T|null)  $read
     * @return array<string, T>
     */
    private function each(Fields $of, string $key, callable $read, int $most): array
    {
        $things = [];
        foreach ($of->list($key, $most) as $i => $data) {
            $fields = $of->inside($data, $of->at($key).'/'.$i);
            $thing = $read($fields);
            if ($thing === null) {
                continue;
            }
            $id = $thing instanceof Route ? $thing->key() : $thing->id;
            if (isset($things[$id])) {
                $of->problem($fields->pointer, "\"{$id}\" is there twice; it has to be unique in this list.");
            }
            $things[$id] = $thing;
        }

        return $things;
    }

    private function socket(Fields $socket): ?Socket
    {
        $id = $socket->id('id');
        $label = $socket->text('label', Bounds::SHORT_NAME, needed: true);
        $connector = $socket->choice('connector', Connector::class);
        $signal = $socket->choice('signal', SignalKind::class, needed: false) ?? $connector?->usualSignal();
        $lanes = $this->each($socket, 'lanes', fn (Fields $lane) => $this->lane($lane, $signal ?? SignalKind::ConsumerLine), 32);
        $balanced = $socket->flag('balanced');
        $phantom = $socket->choice('phantom', Phantom::class, needed: false);
        $nominal = $socket->number('nominal_dbu', -80, 40);
        $max = $socket->number('max_dbu', -80, 60);
        $impedance = $socket->number('impedance_ohm', 0, 10_000_000);
        $colour = $socket->text('colour', Bounds::JACK_COLOUR);
        $isolated = $socket->flag('isolated');
        $link = $socket->choice('link', LinkRole::class, needed: false);
        $ein = $this->version < 2 ? null : $socket->number('ein_dbu', -140, 0);
        $gives = $this->version < 2 ? null : $socket->whole('gives_ma', ...Bounds::MILLIAMPERES);
        $rates = $this->version < 2 ? [] : $this->rates($socket);

        return $socket->done() && $id !== null && $label !== null && $connector !== null && $signal !== null
            ? new Socket($id, $label, $connector, $signal, $lanes, $balanced ?? false, $phantom, $nominal, $max, $impedance,
                $colour === '' ? null : $colour, $isolated ?? false, $link, $ein, $gives, $rates)
            : null;
    }

    /** @return list<int> */
    private function rates(Fields $socket): array
    {
        $rates = [];
        foreach ($socket->list('rates_hz', self::MOST_RATES) as $i => $value) {
            $rate = $socket->asWhole($value, Bounds::RATE_HZ[0], Bounds::RATE_HZ[1], $socket->at('rates_hz').'/'.$i);
            if ($rate !== null && in_array($rate, $rates, true)) {
                $socket->problem($socket->at('rates_hz').'/'.$i, 'This is named twice.');
            } elseif ($rate !== null) {
                $rates[] = $rate;
            }
        }

        return $rates;
    }

    private function lane(Fields $lane, SignalKind $signalOfSocket): ?Lane
    {
        $id = $lane->id('id');
        $way = $lane->choice('way', Way::class);
        $point = $lane->id('point');
        $signal = $lane->choice('signal', SignalKind::class, needed: false);
        $channels = $this->channels($lane, 'channels');
        $device = $this->device($lane);
        $wanted = $way === Way::In ? Direction::Playback : Direction::Recording;
        // On the computer's own sockets the lane that goes out is the playback device; on a unit behind USB it is the lane that comes in.
        if ($device !== null && $way !== null && $device->direction !== $wanted && $signal === SignalKind::UsbAudio) {
            $lane->problem($lane->at('device').'/direction', "A lane that goes {$way->value} over USB is a {$wanted->value} device.");
        }

        return $lane->done() && $id !== null && $way !== null && $point !== null
            ? new Lane($id, $way, $point, $signal ?? $signalOfSocket, $channels, $device)
            : null;
    }

    private function device(Fields $of): ?DeviceOffer
    {
        $device = $of->object('device');
        if ($device === null) {
            return null;
        }
        $direction = $device->choice('direction', Direction::class);
        $name = $device->text('system_name', Bounds::NAME, needed: $this->version < 3);
        $latency = $device->milliseconds('latency_ms');

        return $device->done() && $direction !== null
            ? new DeviceOffer($direction, $name === '' ? null : $name, $latency)
            : null;
    }

    /** @return list<int>|null */
    public function channels(Fields $of, string $key): ?array
    {
        if (! $of->has($key)) {
            return null;
        }
        $channels = [];
        foreach ($of->list($key, self::MAX_CHANNELS) as $i => $value) {
            $channel = $of->asWhole($value, 1, self::MAX_CHANNELS, $of->at($key).'/'.$i);
            if ($channel !== null && in_array($channel, $channels, true)) {
                $of->problem($of->at($key).'/'.$i, "Channel {$channel} is named twice.");
            }
            $channels[] = $channel ?? 1;
        }
        if ($channels === [] && $of->isSound()) {
            $of->problem($of->at($key), 'Name at least one channel, or leave the key out for all.');
        }

        return $channels === [] ? null : $channels;
    }

    private function point(Fields $point): ?Point
    {
        $id = $point->id('id');
        $kind = $point->choice('kind', PointKind::class);
        $label = $point->text('label', Bounds::SHORT_NAME);
        $channels = $point->whole('channels', 1, self::MAX_CHANNELS, needed: true);
        $gain = $this->span($point, 'gain');
        $fader = $this->span($point, 'fader');
        $mute = $point->flag('mute');
        $mono = $point->flag('mono');
        $delayTo = $point->milliseconds('delay_to_ms');
        $picks = $point->choice('picks', Direction::class, needed: false);
        $device = $this->device($point);
        $pickFrom = $this->version < 2 ? [] : $this->pickFrom($point);
        $several = $this->version < 2 ? null : $point->whole('several', 1, self::MOST_DEVICES);
        $deviceOf = $this->version >= 2 && $point->has('device_of') ? $point->id('device_of') : null;
        [$made, $holds] = $this->lives($point);
        $solo = $this->version >= 2 && $point->has('solo') ? $point->id('solo') : null;
        $soloTap = $this->version < 2 ? null : $point->choice('solo_tap', Tap::class, needed: false);
        $canFollow = $this->version < 2 ? [] : $this->pointsIn($point, 'can_follow');
        $effects = $this->version < 2 ? null : $this->rack($point);
        $inScenes = $this->version >= 2 && ($point->flag('in_scenes') ?? false);
        $capsule = $this->version < 2 ? null : $this->capsule($point);

        return $point->done() && $id !== null && $kind !== null && $label !== null && $channels !== null
            ? new Point($id, $kind, $label === '' ? $id : $label, $channels, $gain, $fader, $mute, $mono, $picks, $device, $delayTo,
                $pickFrom, $several ?? 1, $deviceOf, $made, $holds, '', $solo, $soloTap ?? Tap::PreFader, $canFollow, $effects, $inScenes,
                $capsule)
            : null;
    }

    private function capsule(Fields $point): ?Capsule
    {
        $capsule = $point->object('capsule');
        if ($capsule === null) {
            return null;
        }
        $mv = $capsule->number('mv_per_pa', 0.001, 1000, needed: true);
        $noise = $capsule->number('noise_db_spl', -20, 80);
        $max = $capsule->number('max_db_spl', 80, 200);

        return $capsule->done() && $mv !== null ? new Capsule($mv, $noise, $max) : null;
    }

    /** @return list<PickFrom> */
    private function pickFrom(Fields $point): array
    {
        $from = [];
        foreach ($point->list('pick_from', count(PickFrom::cases())) as $i => $value) {
            $one = $point->asChoice($value, PickFrom::class, $point->at('pick_from').'/'.$i);
            if ($one !== null && in_array($one, $from, true)) {
                $point->problem($point->at('pick_from').'/'.$i, 'This is named twice.');
            } elseif ($one !== null) {
                $from[] = $one;
            }
        }

        return $from;
    }

    /** @return array{MadeAt|null, Holds|null} where a point or route is set, and how long it stays so */
    private function lives(Fields $of): array
    {
        return $this->version < 2 ? [null, null] : [$this->madeAt($of), $of->choice('holds', Holds::class, needed: false)];
    }

    private function span(Fields $of, string $key): ?Span
    {
        $span = $of->object($key);
        if ($span === null) {
            return null;
        }
        $from = $span->decibels('from', needed: true);
        $to = $span->decibels('to', needed: true);
        $db = $span->decibels('db') ?? Decibels::zero();
        $scale = $this->version < 2 ? null : $this->ownScale($span);
        if (! $span->done() || $from === null || $to === null) {
            return null;
        }
        try {
            return new Span($from, $to, $db, $scale);
        } catch (\RangeException $e) {
            return $of->problem($span->pointer, $e->getMessage());
        }
    }

    private function ownScale(Fields $span): ?OwnScale
    {
        $scale = $span->object('scale');
        if ($scale === null) {
            return null;
        }
        $unit = $scale->text('unit', Bounds::JACK_COLOUR) ?? '';
        $marks = [];
        foreach ($scale->list('marks', self::MOST_MARKS) as $i => $pair) {
            if (! is_array($pair) || count($pair) !== 2 || ! self::isNumber($pair[0]) || ! self::isNumber($pair[1])) {
                $scale->problem($scale->at('marks').'/'.$i, 'A mark is [what is printed, the dB that it comes to].');

                continue;
            }
            $marks[] = [(float) $pair[0], (float) $pair[1]];
        }
        $read = $marks === [] ? null : new OwnScale($unit, $marks);
        if ($scale->isSound() && ($read === null || ! $read->isReadable())) {
            $scale->problem($scale->at('marks'), 'A scale has two marks or more, and both their numbers rise.');
        }

        return $scale->done() ? $read : null;
    }

    private static function isNumber(mixed $value): bool
    {
        return (is_int($value) || is_float($value)) && abs($value) <= self::FARTHEST_MARK && round($value, 3) == $value;
    }

    private function meter(Fields $meter): ?Meter
    {
        $id = $meter->id('id');
        $label = $meter->text('label', Bounds::SHORT_NAME, needed: true);
        $point = $meter->id('point');
        $tap = $meter->choice('tap', Tap::class, needed: false) ?? Tap::PostFader;
        $scale = $this->ownScale($meter);
        $zones = [];
        foreach ($meter->list('zones', self::MOST_ZONES) as $i => $data) {
            $zone = $meter->inside($data, $meter->at('zones').'/'.$i);
            $name = $zone->text('name', Bounds::JACK_COLOUR, needed: true);
            $from = $zone->number('from_db', -200, 200, needed: true);
            if ($zone->done() && $name !== null && $from !== null) {
                if ($zones !== [] && $from <= $zones[count($zones) - 1][1]) {
                    $meter->problem($zone->pointer, 'Zones rise from the lowest to the highest.');
                }
                $zones[] = [$name, $from];
            }
        }
        if ($scale !== null && $zones !== []) {
            $meter->problem($meter->at('zones'), 'A meter has a scale or zones, not both.');
        }

        return $meter->done() && $id !== null && $label !== null && $point !== null
            ? new Meter($id, $label, $point, $tap, $scale, $zones)
            : null;
    }

    private function lamp(Fields $lamp): ?Lamp
    {
        $id = $lamp->id('id');
        $label = $lamp->text('label', Bounds::SHORT_NAME, needed: true);
        $point = $lamp->has('point') ? $lamp->id('point') : null;
        $whileMuted = $lamp->flag('while_muted') ?? true;
        $setting = $lamp->has('setting') ? $lamp->id('setting') : null;
        $value = $lamp->has('value') ? self::value($lamp->raw('value')) : null;
        if ($lamp->isSound() && (($point === null) === ($setting === null) || ($setting === null) !== ($value === null))) {
            $lamp->problem($lamp->pointer, 'A lamp shows a "point", or a "setting" at a "value".');
        }

        return $lamp->done() && $id !== null && $label !== null ? new Lamp($id, $label, $point, $whileMuted, $setting, $value) : null;
    }

    private function madeAt(Fields $of): ?MadeAt
    {
        $made = $of->object('made_at');
        if ($made === null) {
            return null;
        }
        $by = $made->choice('by', MadeBy::class);
        $path = $made->text('path', Bounds::NAME) ?? '';
        $since = $made->text('since', Bounds::NOTE) ?? '';

        return $made->done() && $by !== null ? new MadeAt($by, $path, $since) : null;
    }

    private function setting(Fields $setting): ?Setting
    {
        $id = $setting->id('id');
        $label = $setting->text('label', Bounds::SHORT_NAME, needed: true);
        $kind = $setting->choice('kind', SettingKind::class);
        $choices = [];
        foreach ($setting->list('choices', self::MOST_CHOICES) as $i => $choice) {
            if (! is_string($choice) || trim($choice) === '' || mb_strlen($choice) > Bounds::SHORT_NAME
                || in_array($choice, $choices, true)) {
                $setting->problem(
                    $setting->at('choices').'/'.$i,
                    'A choice is a text of '.Bounds::SHORT_NAME.' characters at most, said once.',
                );
            } else {
                $choices[] = $choice;
            }
        }
        $range = $setting->has('from') || $setting->has('to')
            ? [$setting->number('from', -1e6, 1e6, needed: true), $setting->number('to', -1e6, 1e6, needed: true)]
            : null;
        $unit = $setting->text('unit', Bounds::JACK_COLOUR) ?? '';
        $factory = self::value($setting->raw('factory'))
            ?? $setting->problem($setting->at('factory'), 'This is missing: where it stands when new.');
        $made = $this->madeAt($setting);
        $holds = $setting->choice('holds', Holds::class, needed: false);
        $since = $setting->text('since', Bounds::NOTE) ?? '';
        $effects = $this->effects($setting);
        $lowersOthers = $this->version >= 3 && ($setting->flag('lowers_others') ?? false);
        if ($lowersOthers && ($kind !== SettingKind::Number || $range === null)) {
            $setting->problem($setting->at('lowers_others'), 'Only a number with "from" and "to" lowers other programs: by so many dB.');
        }
        $says = [];
        foreach ($setting->map('says') as $choice => $text) {
            $at = $setting->at('says').'/'.Problem::token((string) $choice);
            if (! in_array((string) $choice, $choices, true)) {
                $setting->problem($at, 'This is none of the choices.');
            } elseif (! is_string($text) || trim($text) === '' || mb_strlen($text) > Bounds::STEP) {
                $setting->problem($at, 'This is a text of '.Bounds::STEP.' characters at most.');
            } else {
                $says[(string) $choice] = $text;
            }
        }
        if (! $setting->done() || $id === null || $label === null || $kind === null || $factory === null || $effects === null
            || ($range !== null && in_array(null, $range, true))) {
            return null;
        }
        $read = new Setting($id, $label, $kind, $choices, $range === null ? null : [(float) $range[0], (float) $range[1]], $unit, $factory,
            $made, $holds, $since, $effects, $says, $lowersOthers);
        if ($kind === SettingKind::Choice && count($choices) < 2) {
            return $setting->problem($setting->at('choices'), 'A choice has two or more.');
        }
        $trouble = $read->whyNot($factory);

        return $trouble === null ? $read : $setting->problem($setting->at('factory'), $trouble);
    }

    /** A value of a setting as documents hold it: a text, a switch or a number. */
    public static function value(mixed $value): string|bool|float|null
    {
        return match (true) {
            is_bool($value) => $value,
            self::isNumber($value) => (float) $value,
            is_string($value) && mb_strlen($value) <= Bounds::NAME => $value,
            default => null,
        };
    }

    /** @return list<SettingEffect>|null */
    private function effects(Fields $setting): ?array
    {
        $effects = [];
        foreach ($setting->list('effects', self::MOST_EFFECTS) as $i => $data) {
            $effect = $setting->inside($data, $setting->at('effects').'/'.$i);
            $value = self::value($effect->raw('value'));
            $route = $effect->has('route') ? $effect->text('route', 131, needed: true) : null;
            $point = $effect->has('point') ? $effect->id('point') : null;
            $device = $effect->has('device') ? $effect->text('device', 131, needed: true) : null;
            $othersDb = $effect->number('others_db', SettingEffect::SILENT_DB, 0);
            $socket = $effect->has('socket') ? $effect->id('socket') : null;
            $signal = $effect->choice('signal', SignalKind::class, needed: false);
            $phantom = $effect->flag('phantom');
            $isCoded = $effect->flag('coded') ?? false;
            $isOfSocket = $socket !== null && count(array_filter([$signal !== null, $phantom !== null, $isCoded])) === 1;
            $on = $effect->flag('on') ?? ($othersDb !== null || $isOfSocket ? true : null);
            $isOfOne = count(array_filter([$route, $point, $device, $othersDb, $socket], fn (mixed $said) => $said !== null)) === 1
                && $isOfSocket === ($socket !== null || $signal !== null || $phantom !== null || $isCoded);
            if ($effect->isSound() && ($value === null || $on === null || ! $isOfOne)) {
                $effect->problem(
                    $effect->pointer,
                    'An effect says at which "value" a "route", a "point" or a "device" is "on" or not, "others_db", or of a "socket" its '
                        .'"signal", "phantom" or "coded".',
                );
            }
            if ($effect->done() && $value !== null && $on !== null) {
                $effects[] = new SettingEffect(
                    $value, $route, $point, $device, $on, $othersDb, $socket, $signal, $phantom, $isCoded,
                );
            }
        }

        return $setting->isSound() ? $effects : null;
    }

    private function route(Fields $route): ?Route
    {
        $from = $route->id('from');
        $to = $route->id('to');
        $on = $route->flag('on');
        $db = $route->decibels('db');
        $tap = $route->choice('tap', Tap::class, needed: false);
        $map = $this->channelMap($route);
        $group = $route->has('group') ? $route->id('group') : null;
        $choice = $route->has('choice') ? $route->id('choice') : null;
        if ($choice !== null && $group === null) {
            $route->problem($route->at('choice'), 'A choice is one of a group: name the "group" too.');
        }
        $delay = $route->milliseconds('delay_ms');
        $can = [];
        foreach ($route->list('can', 3) as $i => $value) {
            $setting = $route->asChoice($value, RouteSetting::class, $route->at('can').'/'.$i);
            if ($setting !== null) {
                if (in_array($setting, $can, true)) {
                    $route->problem($route->at('can').'/'.$i, 'This is named twice.');
                }
                $can[] = $setting;
            }
        }
        if ($on === false && ! in_array(RouteSetting::On, $can, true)) {
            $route->problem(
                $route->at('on'),
                'A route that is off and can\'t be switched on does nothing: add "on" to "can" or leave the route out.',
            );
        }

        [$made, $holds] = $this->lives($route);

        return $route->done() && $from !== null && $to !== null
            ? new Route($from, $to, $on ?? true, $db ?? Decibels::zero(), $tap ?? Tap::PostFader, $map, $group, $delay, $can, $choice,
                $made, $holds)
            : null;
    }

    private function rack(Fields $point): ?EffectRack
    {
        $rack = $point->object('effects');
        if ($rack === null) {
            return null;
        }
        $most = $rack->whole('most', 1, self::MOST_OF_CHAIN, needed: true);
        $kinds = [];
        foreach ($rack->list('kinds', count(EffectKind::cases())) as $i => $value) {
            $kind = $rack->asChoice($value, EffectKind::class, $rack->at('kinds').'/'.$i);
            if ($kind !== null && in_array($kind, $kinds, true)) {
                $rack->problem($rack->at('kinds').'/'.$i, 'This is named twice.');
            } elseif ($kind !== null) {
                $kinds[] = $kind;
            }
        }
        $perMix = $rack->flag('per_mix') ?? false;

        return $rack->done() && $most !== null ? new EffectRack($most, $kinds, $perMix) : null;
    }

    private function growth(Fields $growth): ?Growth
    {
        $id = $growth->id('id');
        $label = $growth->text('label', $this->version < 3 ? Bounds::JACK_COLOUR : Bounds::SHORT_NAME, needed: true);
        $least = $growth->whole('least', 0, Growth::MOST, needed: true);
        $most = $growth->whole('most', 1, Growth::MOST, needed: true);
        $parts = [];
        foreach ($growth->list('parts', self::MOST_PARTS) as $i => $value) {
            $part = $growth->asId($value, $growth->at('parts').'/'.$i);
            if ($part !== null && in_array($part, $parts, true)) {
                $growth->problem($growth->at('parts').'/'.$i, 'This is named twice.');
            } elseif ($part !== null) {
                $parts[] = $part;
            }
        }
        $between = [];
        foreach ($growth->list('between', self::MOST_PARTS) as $i => $data) {
            $pair = $growth->inside($data, $growth->at('between').'/'.$i);
            [$from, $to] = [$pair->id('from'), $pair->id('to')];
            if ($pair->done() && $from !== null && $to !== null) {
                $between[] = [$from, $to];
            }
        }
        $widens = [];
        foreach ($this->version < 3 ? [] : $growth->list('widens', self::MOST_PARTS) as $i => $value) {
            $wide = $growth->asId($value, $growth->at('widens').'/'.$i);
            $widens = $wide === null ? $widens : [...$widens, $wide];
        }
        if ($growth->isSound() && $parts === []) {
            $growth->problem($growth->pointer, 'Say by "parts" which ids each of them has.');
        }

        return $growth->done() && $id !== null && $label !== null && $least !== null && $most !== null && $parts !== []
            ? new Growth($id, $label, $least, $most, $parts, $between, $widens)
            : null;
    }

    private function rule(Fields $rule): ?Rule
    {
        $id = $rule->id('id');
        $label = $rule->text('label', Bounds::SHORT_NAME, needed: true);
        $when = [];
        foreach ($rule->list('when', self::MOST_CONDITIONS) as $i => $data) {
            $one = $rule->inside($data, $rule->at('when').'/'.$i);
            $point = $one->id('point');
            $is = $one->choice('is', Standing::class);
            if ($one->done() && $point !== null && $is !== null) {
                $when[] = new Condition($point, $is);
            }
        }
        $isAny = $rule->flag('any') ?? false;
        $routes = [];
        foreach ($rule->map('routes') as $key => $on) {
            if (is_bool($on)) {
                $routes[(string) $key] = $on;
            } else {
                $rule->problem($rule->at('routes').'/'.Problem::token((string) $key), 'This is on or off: true or false.');
            }
        }
        if ($rule->isSound() && ($when === [] || $routes === [])) {
            $rule->problem($rule->pointer, 'A rule says "when" something is so, and which "routes" are on or off then.');
        }

        return $rule->done() && $id !== null && $label !== null && $when !== [] && $routes !== []
            ? new Rule($id, $label, $when, $isAny, $routes)
            : null;
    }

    /** @return list<string> points that a list names */
    private function pointsIn(Fields $of, string $key): array
    {
        $points = [];
        foreach ($of->list($key, 100) as $i => $value) {
            $point = $of->asId($value, $of->at($key).'/'.$i);
            if ($point !== null && in_array($point, $points, true)) {
                $of->problem($of->at($key).'/'.$i, "\"{$point}\" is named twice.");
            } elseif ($point !== null) {
                $points[] = $point;
            }
        }

        return $points;
    }

    private function channelMap(Fields $route): ?ChannelMap
    {
        $form = $route->raw('map');
        if ($form === null && ! $route->has('map')) {
            return null;
        }
        if (is_string($form) && in_array($form, ChannelMap::NAMES, true)) {
            return ChannelMap::named($form);
        }
        if (! is_array($form) || $form === [] || count($form) > self::MAX_CHANNELS ** 2) {
            return $route->problem(
                $route->at('map'),
                'A map is one of '.implode(', ', ChannelMap::NAMES).', or a list of pairs [from, to] of channels counted from 1.',
            );
        }
        $pairs = [];
        foreach ($form as $i => $pair) {
            $pointer = $route->at('map').'/'.$i;
            if (! is_array($pair) || count($pair) !== 2) {
                $route->problem($pointer, 'A pair is [from, to].');

                continue;
            }
            $from = $route->asWhole($pair[0], 1, self::MAX_CHANNELS, $pointer.'/0');
            $to = $route->asWhole($pair[1], 1, self::MAX_CHANNELS, $pointer.'/1');
            if (in_array([$from, $to], $pairs, true)) {
                $route->problem($pointer, 'This pair is there twice.');
            }
            $pairs[] = [$from ?? 1, $to ?? 1];
        }

        return ChannelMap::pairs($pairs);
    }

    /** @return list<AutoMute> */
    private function autoMutes(Fields $model): array
    {
        $rules = [];
        foreach ($model->list('auto_mutes', 20) as $i => $data) {
            $rule = $model->inside($data, $model->at('auto_mutes').'/'.$i);
            $mutes = $rule->id('mutes');
            $open = [];
            foreach ($rule->list('while_open', 100) as $o => $value) {
                $point = $rule->asId($value, $rule->at('while_open').'/'.$o);
                if ($point !== null) {
                    $open[] = $point;
                }
            }
            if ($open === [] && $rule->isSound()) {
                $rule->problem($rule->at('while_open'), 'Name at least one point.');
            }
            if ($rule->done() && $mutes !== null && $open !== []) {
                $rules[] = new AutoMute($mutes, $open);
            }
        }

        return $rules;
    }

    private function limits(?Fields $limits): ?Limits
    {
        if ($limits === null) {
            return new Limits;
        }
        $read = new Limits($limits->whole('channels_read', 1, self::MAX_CHANNELS), $limits->whole('devices_at_once', 1, 1000),
            $limits->whole('sources', 0, 1000), $limits->whole('tracks', 0, 1000));

        return $limits->done() ? $read : null;
    }
}
