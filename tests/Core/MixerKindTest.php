<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Growing;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\MadeBy;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Kinds\Card;
use HiddenWire\Core\Kinds\Listening;
use HiddenWire\Core\Kinds\MixerKind;
use HiddenWire\Core\Kinds\MixerOptions;
use HiddenWire\Core\Kinds\MixerPresets;
use HiddenWire\Core\Rig\InvalidRig;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Draft;

/** Options drawn by a seed: any combination that the form lets through. */
function drawn_mixer(int $seed): MixerOptions
{
    $draw = new Randomizer(new Mt19937($seed));
    do {
        $upTo = fn (int $most): int => $draw->getInt(0, $most);
        $flag = fn (): bool => $draw->getInt(0, 1) === 1;
        $hasSecond = $flag();
        $has = new MixerOptions(
            mics: $upTo(4),
            isCombined: $flag(),
            lines: $upTo(2),
            isPaired: $flag(),
            optical: $upTo(2),
            radio: $upTo(1),
            pads: $upTo(3),
            firstPlays: $upTo(4),
            firstRecords: $upTo(3),
            secondPlays: $hasSecond ? $upTo(2) : 0,
            secondRecords: $hasSecond ? $upTo(2) : 0,
            hasCall: $flag(),
            sends: $upTo(2),
            phones: $upTo(3),
            speakers: $upTo(1),
            hasLevels: $flag(),
            faders: $flag() ? $upTo(3) : null,
            tools: array_values(array_filter(EffectKind::cases(), $flag)),
            card: Card::cases()[$upTo(2)],
            mutesPhones: $flag(),
            mutesSpeakers: $flag(),
            listening: Listening::cases()[$upTo(3)],
        );
    } while ($has->problems() !== []);

    return $has;
}

/**
 * What a mixer has by these options, worked out here: sounds and mixes with their kinds and sides, by id.
 *
 * @return array{array<string, array{string, string}>, array<string, array{string, string}>}
 */
function expected_ends(MixerOptions $has): array
{
    $two = $has->secondPlays > 0 || $has->secondRecords > 0;
    $sounds = $mixes = [];
    $add = function (array &$to, string $stem, int $count, string $kind, string $side = '') {
        for ($i = 1; $i <= $count; $i++) {
            $to["{$stem}-{$i}"] = [$kind, $side];
        }
    };
    $add($sounds, 'mic', $has->mics, 'mic');
    $add($sounds, 'line', $has->lines, 'line');
    $add($sounds, 'optical', $has->optical, 'optical');
    $sounds += $has->radio ? ['radio' => ['radio', '']] : [];
    $sounds += $has->pads ? ['pads' => ['pads', '']] : [];
    $add($sounds, $two ? 'first-play' : 'play', $has->firstPlays, 'play', 'first');
    $add($sounds, 'second-play', $has->secondPlays, 'play', 'second');
    $sounds += $has->hasCall ? ['call' => ['call', '']] : [];
    $add($mixes, 'send', $has->sends, 'send');
    $add($mixes, 'phones', $has->phones, 'phones');
    $mixes += $has->speakers ? ['speakers' => ['speakers', '']] : [];
    $add($mixes, $two ? 'first-record' : 'record', $has->firstRecords, 'record', 'first');
    $add($mixes, 'second-record', $has->secondRecords, 'record', 'second');
    $mixes += $has->hasCall ? ['to-call' => ['to-call', 'first']] : [];

    return [$sounds, $mixes];
}

/**
 * What is heard at each mix of each sound, in whole dB; a sound of its own begins before each strip, a listener is at each bus.
 *
 * @param  array<string, array{string, string}>  $sounds
 * @param  array<string, array{string, string}>  $mixes
 * @param  callable(Draft): Draft|null  $set
 * @return array<string, array<string, int>> by mix and sound
 */
function heard_mixer(EquipmentModel $model, array $sounds, array $mixes, ?callable $set = null): array
{
    $data = (array) json_decode((string) json_encode((new DocumentWriter)->model($model)), true);
    foreach (array_keys($sounds) as $sound) {
        $data['points'][] = ['id' => "probe-{$sound}", 'kind' => 'origin', 'channels' => $model->points[$sound]->channels];
        $data['routes'][] = ['from' => "probe-{$sound}", 'to' => $sound];
    }
    foreach (array_keys($mixes) as $mix) {
        $data['points'][] = ['id' => "ear-{$mix}", 'kind' => 'ear', 'channels' => 2];
        $data['routes'][] = ['from' => $mix, 'to' => "ear-{$mix}"];
    }
    $draft = Draft::rig()->unit('box', $data);
    foreach (array_keys($sounds) as $sound) {
        $draft->source($sound, "box/probe-{$sound}");
    }
    foreach (array_keys($mixes) as $mix) {
        $draft->listener($mix, "box/ear-{$mix}");
    }
    $hearing = ($set === null ? $draft : $set($draft))->hear();
    $heard = [];
    foreach (array_keys($mixes) as $mix) {
        foreach (array_keys($sounds) as $sound) {
            $level = $hearing->pair($sound, $mix)->level();
            $heard[$mix] = ($heard[$mix] ?? []) + ($level === null ? [] : [$sound => (int) round($level->value())]);
        }
    }

    return $heard;
}

/**
 * @param  array<string, array{string, string}>  $sounds
 * @param  array<string, array{string, string}>  $mixes
 * @param  callable(string, string, string, string, string, string): ?int  $level  of sound, its kind and side, mix, its kind and side
 * @return array<string, array<string, int>>
 */
function expected_levels(array $sounds, array $mixes, callable $level): array
{
    $levels = [];
    foreach ($mixes as $mix => [$mixKind, $mixSide]) {
        $levels[$mix] = [];
        foreach ($sounds as $sound => [$kind, $side]) {
            $db = $level($sound, $kind, $side, $mix, $mixKind, $mixSide);
            $levels[$mix] += $db === null ? [] : [$sound => $db];
        }
    }

    return $levels;
}

describe('a mixer of whatever it has, heard', function () {
    it('gives every sound to every mix as new, but not back where it came from', function (int $seed) {
        $has = drawn_mixer($seed);
        [$sounds, $mixes] = expected_ends($has);
        $model = MixerKind::model($has, 'it', 'It');
        expect(heard_mixer($model, $sounds, $mixes))->toBe(expected_levels($sounds, $mixes, fn ($sound, $kind, $side, $mix, $to, $toSide) => match (true) {
            $to === 'speakers' && ($kind === 'mic' || ($has->mics > 0 && $has->mutesSpeakers)) => null,
            $kind === 'play' && in_array($to, ['record', 'to-call'], true) && $side === $toSide => null,
            $kind === 'call' && $to === 'to-call' => null,
            default => 0,
        }));
    })->with(range(1, 50));

    it('gives every sound to every mix that a hand opens, but never a call to itself', function (int $seed) {
        $has = drawn_mixer($seed);
        [$sounds, $mixes] = expected_ends($has);
        $model = MixerKind::model($has, 'it', 'It');
        $open = function (Draft $draft) use ($model): Draft {
            foreach ($model->routes as $route) {
                $draft = $route->allows(RouteSetting::On) ? $draft->set('box', 'routes', $route->key(), ['on' => true]) : $draft;
            }

            return $draft;
        };
        expect(heard_mixer($model, $sounds, $mixes, $open))->toBe(expected_levels($sounds, $mixes, fn ($sound, $kind, $side, $mix, $to) => match (true) {
            $to === 'speakers' && $has->mics > 0 && $has->mutesSpeakers => null,
            $kind === 'call' && $to === 'to-call' => null,
            default => 0,
        }));
    })->with(range(1, 50));

    it('silences a muted microphone everywhere, or everywhere but in the headphones; loudspeakers sound when all are muted', function (int $seed) {
        $has = drawn_mixer($seed);
        [$sounds, $mixes] = expected_ends($has);
        $mics = array_filter($sounds, fn (array $one) => $one[0] === 'mic');
        $shut = fn (Draft $draft): Draft => array_reduce(
            array_keys($mics),
            fn (Draft $one, string $mic) => $one->set('box', 'points', $mic, ['mute' => true]),
            $draft,
        );
        $heard = heard_mixer(MixerKind::model($has, 'it', 'It'), $sounds, $mixes, $shut);
        expect($heard)->toBe(expected_levels($sounds, $mixes, fn ($sound, $kind, $side, $mix, $to, $toSide) => match (true) {
            $kind === 'mic' => $to === 'phones' && ! $has->mutesPhones ? 0 : null,
            $kind === 'play' && in_array($to, ['record', 'to-call'], true) && $side === $toSide => null,
            $kind === 'call' && $to === 'to-call' => null,
            default => 0,
        }));
    })->with(range(1, 50));

    it('lets the first headphones hear one sound alone, before or after its fader', function (int $seed) {
        $has = drawn_mixer($seed);
        if ($has->listening === Listening::None) {
            $has = new MixerOptions(...[...get_object_vars($has), 'phones' => max(1, $has->phones), 'listening' => Listening::After]);
        }
        [$sounds, $mixes] = expected_ends($has);
        $one = (string) array_key_last($sounds);
        $model = MixerKind::model($has, 'it', 'It');
        $set = fn (Draft $draft): Draft => $draft->set('box', 'points', $one, ['solo' => true, 'fader' => -10]);
        $before = $has->listening !== Listening::After;
        expect(heard_mixer($model, $sounds, $mixes, $set)['phones-1'])->toBe([$one => $before ? 0 : -10]);
        if ($has->listening === Listening::Either) {
            $after = fn (Draft $draft): Draft => $set($draft)->value('box', 'listening', 'After the fader');
            expect(heard_mixer($model, $sounds, $mixes, $after)['phones-1'])->toBe([$one => -10]);
        }
    })->with(range(1, 50));

    it('has the sockets, devices, levels and tools that were asked for', function (int $seed) {
        $has = drawn_mixer($seed);
        [$sounds, $mixes] = expected_ends($has);
        $model = MixerKind::model($has, 'it', 'It');
        $plugs = array_count_values(array_map(fn ($socket) => $socket->connector->value, $model->sockets));
        $devices = fn (Direction $way) => count(array_filter($model->deviceOffers(), fn ($offer) => $offer->direction === $way));
        $first = $has->firstPlays + $has->firstRecords + ($has->hasCall ? 2 : 0);
        $levels = array_filter($model->routes, fn ($route) => $route->allows(RouteSetting::Db));
        $inMixes = array_filter($model->routes, fn ($route) => isset($sounds[$route->from], $mixes[$route->to]));
        $onMixer = array_filter(array_keys($sounds), fn (string $sound) => $model->madeAt($model->points[$sound])?->by === MadeBy::Unit);
        expect($plugs['combo-f'] ?? 0)->toBe($has->isCombined ? $has->mics : 0)
            ->and($plugs['xlr-f'] ?? 0)->toBe($has->isCombined ? 0 : $has->mics)
            ->and($plugs['trs-3.5'] ?? 0)->toBe(($has->isPaired ? 0 : $has->lines) + $has->sends)
            ->and($plugs['trs-6.35'] ?? 0)->toBe(($has->isPaired ? 2 * $has->lines : 0) + $has->phones + 2 * $has->speakers)
            ->and($plugs['optical'] ?? 0)->toBe($has->optical)
            ->and($plugs['bluetooth'] ?? 0)->toBe($has->radio)
            ->and($plugs['usb-c'] ?? 0)->toBe(($first > 0 ? 1 : 0) + ($has->secondPlays + $has->secondRecords > 0 ? 1 : 0))
            ->and($plugs['card-slot'] ?? 0)->toBe($has->card === Card::None ? 0 : 1)
            ->and($devices(Direction::Playback))->toBe($has->firstPlays + $has->secondPlays + ($has->hasCall ? 1 : 0))
            ->and($devices(Direction::Recording))->toBe($has->firstRecords + $has->secondRecords + ($has->hasCall ? 1 : 0))
            ->and(count($inMixes))->toBe(count($sounds) * count($mixes) - ($has->hasCall ? 1 : 0))
            ->and(array_diff_key($inMixes, $levels) === [])->toBe($has->hasLevels || $inMixes === [])
            ->and($onMixer)->toBe(array_slice(array_keys($sounds), 0, $has->faders ?? 99))
            ->and(count(array_filter($model->points, fn ($point) => str_starts_with($point->id, 'pad-'))))->toBe($has->pads)
            ->and(count(array_filter($model->points, fn ($point) => str_starts_with($point->id, 'track'))))->toBe(match ($has->card) {
                Card::None => 0, Card::Mix => 1, Card::Each => count($sounds),
            });
        foreach ($has->tools === [] ? [] : array_slice(array_keys($sounds), 0, $has->mics) as $mic) {
            expect($model->points[$mic]->effects?->kinds)->toBe($has->tools);
        }
    })->with(range(1, 50));
});

it('comes to the same whether it is made larger or grows', function (int $seed) {
    $has = drawn_mixer($seed);
    $smaller = MixerKind::model(new MixerOptions(...[...get_object_vars($has), 'mics' => 1, 'faders' => null]), 'it', 'It');
    $larger = MixerKind::model(new MixerOptions(...[...get_object_vars($has), 'mics' => 3, 'faders' => null]), 'it', 'It');
    $grown = Growing::to($smaller, $smaller->grows['mics'], 3);
    $sorted = function (EquipmentModel $model): array {
        $data = (array) json_decode((string) json_encode((new DocumentWriter)->model($model)), true);
        array_walk($data, fn (mixed & $list) => is_array($list) && array_is_list($list) ? sort($list) : null);

        return $data;
    };
    // The card's width stays as it is: nothing is plugged in there by channel.
    $width = fn (array $data): array => [...$data, 'points' => array_values(array_filter($data['points'], fn (array $one) => $one['id'] !== 'card'))];
    expect($width($sorted($grown)))->toEqual($width($sorted($larger)));
})->with(range(51, 60));

it('ships three of them in the catalogue, byte for byte', function (string $id) {
    $made = Json::encode((new DocumentWriter)->model(MixerPresets::model($id)));
    expect(file_get_contents(dirname(__DIR__, 2)."/resources/catalogue/{$id}.json"))->toBe($made);
})->with(['counter-mixer', 'two-desk-mixer', 'round-table-mixer']);

it('says at the option what can\'t be made', function (MixerOptions $has, string $at, string $why) {
    expect(fn () => MixerKind::model($has, 'it', 'It'))->toThrow(InvalidRig::class)
        ->and($has->problems())->toHaveKey($at)
        ->and($has->problems()[$at])->toContain($why);
})->with([
    'too many' => [new MixerOptions(mics: 17), 'mics', 'from 0 to 16'],
    'nothing in' => [new MixerOptions(mics: 0, lines: 0, firstPlays: 0), 'mics', 'Nothing comes in'],
    'nothing out' => [new MixerOptions(firstRecords: 0, phones: 0), 'phones', 'Nothing goes out'],
    'a call alone' => [new MixerOptions(mics: 0, lines: 0, firstPlays: 0, hasCall: true), 'hasCall', 'another input'],
    'too many faders' => [new MixerOptions(mics: 1, lines: 0, firstPlays: 0, faders: 2), 'faders', '1 sounds'],
    'nowhere to listen' => [new MixerOptions(phones: 0, listening: Listening::After), 'listening', 'headphone output'],
]);
