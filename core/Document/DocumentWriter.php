<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\AutoMute;
use HiddenWire\Core\Equipment\Capsule;
use HiddenWire\Core\Equipment\Condition;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EffectRack;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Equipment\InstallNeed;
use HiddenWire\Core\Equipment\Lamp;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\MadeAt;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Rule;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SettingEffect;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Link;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Measure;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Papers;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Reason;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\ShowStep;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wish;

/** Writes a rig as its canonical document: keys in one order, what equals its default left out, numbers in their shortest form. */
final class DocumentWriter
{
    private const MODELS = "\n  \"models\": ";

    private const UNITS = ",\n  \"units\": ";

    public function write(Rig $rig): string
    {
        return Json::encode($this->data($rig));
    }

    /**
     * Writes a rig anew of which only the models are as they were: half of a document is models, and few changes touch them.
     *
     * @param  string  $before  the canonical document of a rig with the same models
     */
    public function rewrite(Rig $rig, string $before): string
    {
        // In canonical text a line break and two spaces begin a key of the document itself, and nothing else.
        $start = strpos($before, self::MODELS);
        $end = strpos($before, self::UNITS);
        if ($start === false || $end === false) {
            return $this->write($rig);
        }
        $start += strlen(self::MODELS);

        return Json::encode($this->data($rig, new Verbatim(substr($before, $start, $end - $start))));
    }

    /** A canonical document with no models in it. */
    public static function withoutModels(string $document): string
    {
        $start = strpos($document, self::MODELS);
        $end = strpos($document, self::UNITS);

        return $start === false || $end === false
            ? $document
            : substr($document, 0, $start + strlen(self::MODELS)).'{}'.substr($document, $end);
    }

    /**
     * The document as plain data: arrays for lists and objects, `\stdClass` for empty objects.
     *
     * @param  Verbatim|null  $models  the models, where they are written already
     * @return array<string, mixed>
     */
    public function data(Rig $rig, ?Verbatim $models = null): array
    {
        return [
            'format' => DocumentReader::FORMAT,
            'version' => DocumentReader::VERSION,
            'name' => $rig->name,
            ...$this->filled(['summary' => $rig->summary]),
            'places' => array_map(
                fn (Place $place) => ['id' => $place->id, 'kind' => $place->kind->value, 'name' => $place->name],
                array_values($rig->places),
            ),
            'models' => $models ?? (object) array_map($this->model(...), $rig->models),
            'units' => array_map($this->unit(...), array_values($rig->units)),
            'cables' => array_map($this->cable(...), array_values($rig->cables)),
            'devices' => array_map($this->device(...), $rig->devices),
            'picks' => array_map(fn (Pick $pick) => ['at' => (string) $pick->at, ...$this->choice($pick)], array_values($rig->picks)),
            'air' => array_map(
                fn (AirPath $path) => [
                    'from' => (string) $path->from,
                    'to' => (string) $path->to,
                    'db' => $path->db->number(),
                    ...($path->delay === null ? [] : ['delay_ms' => $path->delay->number()]),
                ],
                $rig->air,
            ),
            'sources' => array_map($this->source(...), array_values($rig->sources)),
            'listeners' => array_map(fn (Listener $listener) => [
                'id' => $listener->id, 'name' => $listener->name, 'kind' => $listener->kind->value,
                'at' => array_map(fn (PointRef $at) => (string) $at, $listener->at),
            ], array_values($rig->listeners)),
            'wishes' => array_map(fn (Wish $wish) => [
                'source' => $wish->source, 'listener' => $wish->listener, 'want' => $wish->want->value,
                ...$this->filled(['own_level' => $wish->ownLevel, 'alone' => $wish->alone, 'situations' => $wish->situations,
                    'treatment' => $wish->treatment?->value, 'side' => $wish->side?->value]),
            ], $rig->wishes),
            'situations' => array_map(fn (Situation $situation) => [
                'id' => $situation->id,
                'name' => $situation->name,
                'changes' => array_map($this->change(...), array_values($situation->changes)),
                ...$this->filled([
                    'absent' => $situation->absent,
                    'pulled' => $situation->pulled,
                    'plugged' => $situation->plugged,
                    'effects' => array_map($this->effectSwitch(...), array_values($situation->effects)),
                    'scenes' => array_map($this->sceneChoice(...), array_values($situation->scenes)),
                    'defaults' => array_map($this->situationDefault(...), array_values($situation->defaults)),
                    'levels' => array_map($this->situationLevel(...), array_values($situation->levels)),
                    'settings' => array_map($this->situationSetting(...), array_values($situation->settings)),
                ]),
            ], array_values($rig->situations)),
            ...$this->papers($rig->papers),
            ...$this->filled(['balances' => array_map($this->balance(...), $rig->balances)]),
        ];
    }

    /** @return array<string, mixed> */
    public function balance(Balance $balance): array
    {
        return ['listener' => $balance->listener, 'like' => $balance->like, 'within_db' => $this->number($balance->withinDb)];
    }

    /** @return array<string, mixed> */
    private function papers(Papers $papers): array
    {
        return $this->filled([
            'reasons' => array_values(array_map(
                fn (Reason $one) => [
                    'about' => (string) $one->about, ...$this->filled(['why' => $one->why, 'leave_alone' => $one->leaveAlone]),
                ],
                $papers->reasons,
            )),
            'steps' => array_values(array_map(fn (ShowStep $step) => [
                'id' => $step->id, 'phase' => $step->phase->value, 'text' => $step->text,
                ...$this->known(['at_min' => $step->atMin, 'wait_s' => $step->waitS === 0 ? null : $step->waitS]),
            ], $papers->steps)),
            'accepted' => array_values(array_map(
                fn (Acceptance $one) => ['evidence' => $one->evidence, 'says' => $one->says, 'why' => $one->why],
                $papers->accepted,
            )),
            'facts' => array_values(array_map(fn (Fact $one) => [
                'about' => (string) $one->about,
                ...$this->filled(['with' => $one->with === null ? null : (string) $one->with]),
                'certainty' => $one->certainty->value, 'what' => $one->what,
                ...$this->filled(['by' => $one->by, 'on' => $one->on, 'firmware' => $one->firmware, 'proof' => $one->proof]),
                ...$this->known(['minutes' => $one->minutes]),
            ], $papers->facts)),
            'measures' => array_values(array_map(
                fn (Measure $one) => ['about' => (string) $one->about, 'kind' => $one->kind->value, 'value' => $this->number($one->value)],
                $papers->measures,
            )),
        ]);
    }

    /**
     * One equipment model, without its id, as documents and the catalogue hold it.
     *
     * @return array<string, mixed>
     */
    public function model(EquipmentModel $model): array
    {
        $limits = $this->filled([
            'channels_read' => $model->limits->channelsRead, 'devices_at_once' => $model->limits->devicesAtOnce,
            'sources' => $model->limits->sources, 'tracks' => $model->limits->tracks,
        ]);

        return [
            'name' => $model->name,
            'family' => $model->family->value,
            ...$this->filled(['summary' => $model->summary, 'supply' => $model->supply === Supply::None ? null : $model->supply->value]),
            'sockets' => array_map($this->socket(...), array_values($model->sockets)),
            'points' => array_map($this->point(...), array_values($model->points)),
            'routes' => array_map($this->route(...), array_values($model->routes)),
            ...$this->filled([
                'limits' => $limits,
                'auto_mutes' => array_map(
                    fn (AutoMute $rule) => ['mutes' => $rule->mutes, 'while_open' => $rule->whileOpen],
                    $model->autoMutes,
                ),
                'runs_on' => array_map(
                    fn (SystemNeed $need) => ['system' => $need->system, ...$this->filled(['from' => $need->from])],
                    $model->runsOn,
                ),
                'asks' => array_map(fn (InstallNeed $ask) => $ask->value, $model->asks),
                'settings' => array_map($this->setting(...), array_values($model->settings)),
                'made_at' => $this->madeAt($model->made),
                'holds' => $model->holds?->value,
                'meters' => array_map($this->meter(...), array_values($model->meters)),
                'lamps' => array_map($this->lamp(...), array_values($model->lamps)),
                'takes' => $model->takes === Takes::Chosen ? null : $model->takes->value,
                'rules' => array_map($this->rule(...), array_values($model->rules)),
                'grows' => array_map($this->growth(...), array_values($model->grows)),
                'draws_ma' => $model->drawsMa,
            ]),
        ];
    }

    /** @return array<string, mixed> */
    private function socket(Socket $socket): array
    {
        return [
            'id' => $socket->id,
            'label' => $socket->label,
            'connector' => $socket->connector->value,
            ...$this->filled([
                'signal' => $socket->signal === $socket->connector->usualSignal() ? null : $socket->signal->value,
                'balanced' => $socket->balanced, 'phantom' => $socket->phantom?->value,
                'nominal_dbu' => $this->number($socket->nominalDbu), 'max_dbu' => $this->number($socket->maxDbu),
                'impedance_ohm' => $this->number($socket->impedanceOhm), 'colour' => $socket->colour,
                'isolated' => $socket->isolated, 'link' => $socket->link?->value, 'ein_dbu' => $this->number($socket->einDbu),
                'gives_ma' => $socket->givesMa, 'rates_hz' => $socket->ratesHz,
            ]),
            'lanes' => array_map(fn (Lane $lane) => [
                'id' => $lane->id, 'way' => $lane->way->value, 'point' => $lane->point,
                ...$this->filled([
                    'signal' => $lane->signal === $socket->signal ? null : $lane->signal->value,
                    'channels' => $lane->channels, 'device' => $this->offer($lane->device),
                ]),
            ], array_values($socket->lanes)),
        ];
    }

    /** @return array<string, mixed>|null */
    private function offer(?DeviceOffer $offer): ?array
    {
        return $offer === null ? null : [
            'direction' => $offer->direction->value,
            ...$this->filled(['system_name' => $offer->systemName, 'latency_ms' => $offer->latency?->number()]),
        ];
    }

    /** @return array<string, mixed> */
    private function point(Point $point): array
    {
        return [
            'id' => $point->id, 'kind' => $point->kind->value,
            ...$this->filled(['label' => $point->label === $point->id ? null : $point->label]),
            'channels' => $point->channels,
            ...$this->known(['gain' => $this->span($point->gain), 'fader' => $this->span($point->fader), 'mute' => $point->mute,
                'mono' => $point->mono,
                'delay_to_ms' => $point->delayTo?->number(), 'picks' => $point->picks?->value, 'device' => $this->offer($point->device)]),
            ...$this->filled([
                'pick_from' => array_map(fn (PickFrom $one) => $one->value, $point->pickFrom),
                'several' => $point->several === 1 ? null : $point->several, 'device_of' => $point->deviceOf,
                'made_at' => $this->madeAt($point->made), 'holds' => $point->holds?->value, 'solo' => $point->solo,
                'solo_tap' => $point->soloTap === Tap::PreFader ? null : $point->soloTap->value, 'can_follow' => $point->canFollow,
                'effects' => $this->rack($point->effects), 'in_scenes' => $point->inScenes,
                'capsule' => $this->capsule($point->capsule),
            ]),
        ];
    }

    /** @return array<string, mixed>|null */
    public function capsule(?Capsule $capsule): ?array
    {
        return $capsule === null ? null : [
            'mv_per_pa' => $this->number($capsule->mvPerPa),
            ...$this->known(['noise_db_spl' => $this->number($capsule->noiseDb), 'max_db_spl' => $this->number($capsule->maxDb)]),
        ];
    }

    /** @return array<string, mixed>|null */
    public function ownScale(?OwnScale $scale): ?array
    {
        return $scale === null ? null : [
            ...$this->filled(['unit' => $scale->unit]),
            'marks' => array_map(fn (array $mark) => [$this->number($mark[0]), $this->number($mark[1])], $scale->marks),
        ];
    }

    /** @return array<string, string>|null */
    public function madeAt(?MadeAt $made): ?array
    {
        return $made === null ? null : [
            'by' => $made->by->value, ...$this->filled(['path' => $made->path, 'since' => $made->since]),
        ];
    }

    /** @return array<string, mixed> */
    public function setting(Setting $setting): array
    {
        return [
            'id' => $setting->id, 'label' => $setting->label, 'kind' => $setting->kind->value,
            ...$this->filled(['choices' => $setting->choices]),
            ...$this->known(['from' => $this->number($setting->range[0] ?? null), 'to' => $this->number($setting->range[1] ?? null)]),
            ...$this->filled(['unit' => $setting->unit]),
            'factory' => self::value($setting->factory),
            ...$this->filled([
                'made_at' => $this->madeAt($setting->made), 'holds' => $setting->holds?->value, 'since' => $setting->since,
                'effects' => array_map(fn (SettingEffect $effect) => [
                    'value' => self::value($effect->value), ...$this->known([
                        'route' => $effect->route, 'point' => $effect->point, 'device' => $effect->device, 'socket' => $effect->socket,
                    ]),
                    ...match (true) {
                        $effect->othersDb !== null => ['others_db' => $this->number($effect->othersDb)],
                        $effect->signal !== null => ['signal' => $effect->signal->value],
                        $effect->phantom !== null => ['phantom' => $effect->phantom],
                        $effect->isCoded => ['coded' => true],
                        default => ['on' => $effect->on],
                    },
                ], $setting->effects),
            ]),
            ...($setting->says === [] ? [] : ['says' => (object) $setting->says]),
            ...$this->filled(['lowers_others' => $setting->lowersOthers]),
        ];
    }

    /** @return array<string, mixed> */
    public function meter(Meter $meter): array
    {
        return [
            'id' => $meter->id, 'label' => $meter->label, 'point' => $meter->point,
            ...$this->known([
                'tap' => $meter->tap === Tap::PostFader ? null : $meter->tap->value,
                'scale' => $this->ownScale($meter->scale),
            ]),
            ...$this->filled(['zones' => array_map(
                fn (array $zone) => ['name' => $zone[0], 'from_db' => $this->number($zone[1])],
                $meter->zones,
            )]),
        ];
    }

    /** @return array<string, mixed> */
    public function lamp(Lamp $lamp): array
    {
        return [
            'id' => $lamp->id, 'label' => $lamp->label,
            ...$this->known(['point' => $lamp->point, 'while_muted' => $lamp->whileMuted ? null : false, 'setting' => $lamp->setting]),
            ...($lamp->value === null ? [] : ['value' => self::value($lamp->value)]),
        ];
    }

    /** @return array<string, mixed>|null */
    public function rack(?EffectRack $rack): ?array
    {
        return $rack === null ? null : [
            'most' => $rack->most,
            ...$this->filled(['kinds' => array_map(fn (EffectKind $one) => $one->value, $rack->kinds), 'per_mix' => $rack->perMix]),
        ];
    }

    /** @return array<string, mixed> */
    public function effect(Effect $effect): array
    {
        return [
            'id' => $effect->id, 'at' => $effect->at, 'kind' => $effect->kind->value,
            ...$this->filled(['name' => $effect->name]),
            ...($effect->on ? [] : ['on' => false]),
            ...$this->known(['delay_ms' => $effect->delay?->number(), 'db' => $effect->db?->number()]),
            ...$this->filled(['off_for' => $effect->offFor]),
        ];
    }

    /** @return array<string, mixed> */
    public function scene(Scene $scene): array
    {
        return [
            'id' => $scene->id, 'name' => $scene->name,
            ...$this->filled(['sources' => $scene->sources, 'pictures' => $scene->pictures]),
        ];
    }

    /** @return array<string, mixed> */
    public function picture(Picture $picture): array
    {
        return [
            'id' => $picture->id, 'name' => $picture->name, ...$this->known(['delay_ms' => $picture->delay?->number()]),
            ...$this->filled(['sound' => $picture->sound, 'tied' => $picture->isTied]),
        ];
    }

    /** @return array<string, string> */
    public function sceneChoice(SceneChoice $choice): array
    {
        return ['unit' => $choice->unit, 'scene' => $choice->scene];
    }

    /** @return array<string, mixed> */
    public function effectSwitch(EffectSwitch $switch): array
    {
        return ['unit' => $switch->unit, 'effect' => $switch->effect, 'on' => $switch->on];
    }

    /** @return array<string, mixed> */
    public function growth(Growth $growth): array
    {
        return [
            'id' => $growth->id, 'label' => $growth->label, 'least' => $growth->least, 'most' => $growth->most, 'parts' => $growth->parts,
            ...$this->filled([
                'between' => array_map(fn (array $pair) => ['from' => $pair[0], 'to' => $pair[1]], $growth->between),
                'widens' => $growth->widens,
            ]),
        ];
    }

    /** @return array<string, mixed> */
    public function rule(Rule $rule): array
    {
        return [
            'id' => $rule->id, 'label' => $rule->label,
            'when' => array_map(fn (Condition $one) => ['point' => $one->point, 'is' => $one->is->value], $rule->when),
            ...$this->filled(['any' => $rule->isAny]),
            'routes' => (object) $rule->routes,
        ];
    }

    /** @return array<string, mixed> */
    public function following(Following $one): array
    {
        return ['of' => $one->of, ...$this->filled(['with_fader' => $one->withFader, 'except' => $one->except])];
    }

    /** A value of a setting as documents hold it. */
    public static function value(string|bool|float $value): string|bool|int|float
    {
        return is_float($value) && $value === floor($value) ? (int) $value : $value;
    }

    /** @return array<string, mixed>|null */
    private function span(?Span $span): ?array
    {
        return $span === null ? null : [
            'from' => $span->from->number(), 'to' => $span->to->number(), 'db' => $span->db->number(),
            ...$this->known(['scale' => $this->ownScale($span->scale)]),
        ];
    }

    /** @return array<string, mixed> */
    private function route(Route $route): array
    {
        return [
            'from' => $route->from, 'to' => $route->to,
            ...$this->known([
                'on' => $route->on ? null : false, 'db' => $route->db->number() === 0 ? null : $route->db->number(),
                'tap' => $route->tap === Tap::PostFader ? null
                    : $route->tap->value, 'map' => $route->map?->form, 'group' => $route->group, 'choice' => $route->choice,
                'delay_ms' => $route->delay?->number(),
            ]),
            ...$this->filled([
                'can' => array_map(fn (RouteSetting $setting) => $setting->value, $route->can),
                'made_at' => $this->madeAt($route->made), 'holds' => $route->holds?->value,
            ]),
        ];
    }

    /** @return array<string, mixed> */
    private function unit(Unit $unit): array
    {
        return [
            'id' => $unit->id, 'model' => $unit->model, 'place' => $unit->place, 'name' => $unit->name,
            ...$this->filled([
                'firmware' => $unit->firmware,
                'serial' => $unit->serial,
                'notes' => $unit->notes,
                'needs' => $unit->needs,
                'start' => $unit->start,
                'at_login' => $unit->atLogin,
                'settings' => $this->filled([
                    'points' => $this->map(array_map(
                        fn (PointSettings $set) => $this->pointSettings($set) ?: new \stdClass,
                        $unit->points,
                    )),
                    'routes' => $this->map(array_map(
                        fn (RouteSettings $set) => $this->routeSettings($set) ?: new \stdClass,
                        $unit->routes,
                    )),
                    'values' => $this->map(array_map(self::value(...), $unit->values)),
                ]),
                'price' => $unit->price,
                'supplier' => $unit->supplier,
                'links' => array_map(fn (Link $link) => ['label' => $link->label, 'url' => $link->url], $unit->links),
            ]),
            ...$this->known(['ready_s' => $unit->readyS]),
            ...($unit->system === null ? [] : ['system' => [
                'name' => $unit->system->name, ...$this->filled(['version' => $unit->system->version]),
            ]]),
            ...$this->filled(['licence' => $unit->licence, 'edition' => $unit->edition, 'names' => $this->map($unit->names),
                'follows' => $this->map(array_map($this->following(...), $unit->follows)), 'linked' => $unit->linked,
                'effects' => array_map($this->effect(...), $unit->effects), 'scenes' => array_map($this->scene(...), $unit->scenes),
                'pictures' => array_map($this->picture(...), $unit->pictures),
                'always' => $unit->always]),
        ];
    }

    /**
     * A map by ids, which may be digits only: it is written as an object all the same. Empty it is left out.
     *
     * @param  array<array-key, mixed>  $things
     * @return \stdClass|array{}
     */
    private function map(array $things): \stdClass|array
    {
        return $things === [] ? [] : (object) $things;
    }

    /** @return array<string, mixed> */
    private function pointSettings(PointSettings $set): array
    {
        return $set->plain();
    }

    /** @return array<string, mixed> */
    private function routeSettings(RouteSettings $set): array
    {
        return $this->known(['on' => $set->on, 'db' => $set->db?->number(), 'tap' => $set->tap?->value]);
    }

    /** @return array<string, mixed> */
    private function cable(Cable $cable): array
    {
        return [
            'id' => $cable->id,
            'label' => $cable->label,
            'type' => $cable->type->value,
            'from' => (string) $cable->from,
            'to' => (string) $cable->to,
            ...$this->filled(['length_m' => $this->number($cable->lengthM), 'colour' => $cable->colour]),
            ...($cable->owned ? [] : ['owned' => false]),
            ...$this->known(['lanes' => $cable->lanes]),
            ...$this->filled(['price' => $cable->price, 'supplier' => $cable->supplier]),
        ];
    }

    /** @return array<string, mixed> */
    private function device(DeviceSettings $device): array
    {
        return [
            'computer' => $device->computer, 'device' => (string) $device->device,
            ...$this->filled(['name' => $device->name]),
            ...($device->enabled ? [] : ['enabled' => false]),
            ...$this->filled([
                'roles' => array_map(fn (Role $role) => $role->value, $device->roles),
                'rate_hz' => $device->rateHz,
                'bits' => $device->bits,
                'driver_mode' => $device->driverMode?->value,
            ]),
            ...$this->known(['db' => $device->db?->number()]),
            ...$this->filled([
                'mute' => $device->mute, 'plays_to' => $device->playsTo === null ? '' : (string) $device->playsTo,
                'unlisted' => $device->unlisted?->value,
                'processing' => array_map(fn (Processing $one) => $one->value, $device->processing),
            ]),
        ];
    }

    /** @return array<string, mixed> */
    private function choice(Pick $pick): array
    {
        return $this->known([
            'device' => $pick->device === null ? null : (string) $pick->device, 'default' => $pick->default?->value,
            'channels' => $pick->channels, 'tap' => $pick->tap?->value, 'db' => $pick->db?->number(), 'mute' => $pick->mute ? true : null,
            'mode' => $pick->mode?->value,
            'also' => $pick->also === [] ? null : array_map(fn (DeviceRef $one) => (string) $one, $pick->also),
        ]);
    }

    /** @return array<string, mixed> */
    private function source(Source $source): array
    {
        return [
            'id' => $source->id, 'name' => $source->name, 'kind' => $source->kind->value,
            'origins' => array_map(fn (Origin $origin) => [
                'at' => (string) $origin->at,
                ...($origin->db->number() === 0 ? [] : ['db' => $origin->db->number()]),
                ...($origin->delay === null ? [] : ['delay_ms' => $origin->delay->number()]),
            ], array_values($source->origins)),
            ...$this->known(['loudness_db' => $source->loudness?->number()]),
            ...$this->filled(['measured' => $source->isMeasured]),
        ];
    }

    /** @return array<string, mixed> */
    private function change(Change $change): array
    {
        return ['at' => (string) $change->at, 'set' => match (true) {
            $change->set instanceof Pick => $this->choice($change->set),
            $change->set instanceof PointSettings => $this->pointSettings($change->set),
            default => $this->routeSettings($change->set),
        }];
    }

    /** @return array<string, string> */
    public function situationDefault(SituationDefault $default): array
    {
        return [
            'computer' => $default->computer,
            'direction' => $default->direction->value,
            'role' => $default->role->value,
            'device' => (string) $default->device,
        ];
    }

    /** @return array<string, mixed> */
    public function situationLevel(SystemLevel $level): array
    {
        return [
            'computer' => $level->computer, 'device' => (string) $level->device,
            ...$this->known(['db' => $level->db?->number(), 'mute' => $level->mute]),
        ];
    }

    /** @return array<string, mixed> */
    public function situationSetting(SettingValue $set): array
    {
        return ['unit' => $set->unit, 'setting' => $set->setting, 'value' => self::value($set->value)];
    }

    private function number(?float $value): int|float|null
    {
        return $value === null || $value !== floor($value) ? $value : (int) $value;
    }

    /**
     * Without what is null.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function known(array $fields): array
    {
        return array_filter($fields, fn (mixed $value) => $value !== null);
    }

    /**
     * Without what is null, false, or empty: the defaults of most fields.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function filled(array $fields): array
    {
        return array_filter($fields, fn (mixed $value) => $value !== null && $value !== false && $value !== '' && $value !== []);
    }
}
