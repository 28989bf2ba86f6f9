<?php

declare(strict_types=1);

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Signal\HeardPair;
use Tests\Support\Draft;

/** Two computers with nothing on them but their sound. */
function two_computers(): Draft
{
    return Draft::rig()->place('studio')->place('booth')->unit('here', 'laptop', 'studio')->unit('there', 'laptop', 'booth');
}

/** @return array{float|null, float|null} dB and ms */
function level_and_delay(HeardPair $pair): array
{
    return [$pair->level()?->value(), $pair->delay()?->value()];
}

it('plays into a network card here and records out of its partner there, and the other way', function () {
    $draft = two_computers()
        ->unit('card', 'network-sound', 'studio')->unit('partner', 'network-sound', 'booth')->cable('network', 'card/session', 'partner/session')
        ->unit('music', 'music-player', 'studio')->unit('take', 'clip-recorder', 'booth')->unit('back', 'clip-recorder', 'studio')
        ->pick('music/sound', ['device' => 'card/played'])->pick('take/in-1', ['device' => 'partner/recorded'])
        ->pick('back/in-1', ['device' => 'card/recorded'])
        ->value('take', 'recording', true)->value('back', 'recording', true)
        ->source('waltz', 'music/sound')->track('there', 'take/track-1')->track('here', 'back/track-1');
    // 6 ms into the card, 2 ms to the network, 10 ms in the house, 2 ms from it, 6 ms out of the partner; nothing comes back.
    expect(level_and_delay($draft->pair('waltz', 'there')))->toBe([0.0, 26.0])->and($draft->pair('waltz', 'here')->level())->toBeNull();
});

it('plays a sampler to others and to one\'s own ears at levels of their own, with the microphone for others alone', function () {
    $draft = two_computers()->unit('box', 'sampler', 'studio')->unit('cable', 'virtual-cable', 'studio')
        ->unit('take', 'clip-recorder', 'studio')->value('take', 'recording', true)->unit('mic', 'usb-microphone-plain')->unit('set', 'usb-headset')
        ->cable('usb', 'mic/usb', 'here/usb-1')->cable('usb', 'set/usb', 'here/usb-2')
        ->pick('box/others', ['device' => 'cable/in'])->pick('box/own', ['device' => 'set/usb/play'])->pick('box/microphone', ['device' => 'mic/usb/rec'])
        ->pick('take/in-1', ['device' => 'cable/out'])
        ->source('horn', 'box/pad-2')->source('ann', 'mic/capsule')->track('file', 'take/track-1')->listener('me', 'set/ear')
        ->set('box', 'points', 'own', ['fader' => -12])->set('box', 'routes', 'microphone>others', ['on' => true, 'db' => -3]);
    expect($draft->pair('horn', 'file')->level()?->value())->toBe(0.0)->and($draft->pair('horn', 'me')->level()?->value())->toBe(-12.0)
        ->and($draft->pair('ann', 'file')->level()?->value())->toBe(-3.0)->and($draft->pair('ann', 'me')->level())->toBeNull();
});

it('records what is played, with the microphone on it or on a track of its own', function (bool $apart, array $first, array $second) {
    $draft = two_computers()->unit('rec', 'game-recorder', 'studio')->unit('game', 'game', 'studio')->unit('mic', 'usb-microphone-plain')->unit('set', 'usb-headset')
        ->cable('usb', 'mic/usb', 'here/usb-1')->cable('usb', 'set/usb', 'here/usb-2')
        ->pick('game/sound', ['device' => 'set/usb/play'])->pick('rec/microphone', ['device' => 'mic/usb/rec'])
        ->pick('rec/played', ['device' => 'set/usb/play', 'tap' => 'playback'])
        ->value('rec', 'recording', true)->value('rec', 'apart', $apart)
        ->source('battle', 'game/sound')->source('ann', 'mic/capsule')->track('one', 'rec/track-1')->track('two', 'rec/track-2');
    $on = fn (string $track): array => [$draft->pair('battle', $track)->isHeard(), $draft->pair('ann', $track)->isHeard()];
    expect($on('one'))->toBe($first)->and($on('two'))->toBe($second);
})->with(['mixed' => [false, [true, true], [false, false]], 'apart' => [true, [true, false], [false, true]]]);

it('takes a microphone through effects and gives it as a device; what is played goes by the other chain', function () {
    $draft = two_computers()->unit('fx', 'effects-program', 'studio')->unit('mic', 'usb-microphone-plain')->unit('set', 'usb-headset')
        ->unit('take', 'clip-recorder', 'studio')->value('take', 'recording', true)->unit('music', 'music-player', 'studio')
        ->cable('usb', 'mic/usb', 'here/usb-1')->cable('usb', 'set/usb', 'here/usb-2')
        ->pick('fx/microphone', ['device' => 'mic/usb/rec'])->pick('fx/headphones', ['device' => 'set/usb/play'])
        ->pick('take/in-1', ['device' => 'fx/treated'])->pick('music/sound', ['device' => 'fx/played'])
        ->source('ann', 'mic/capsule')->source('waltz', 'music/sound')->track('file', 'take/track-1')->listener('me', 'set/ear')
        ->with(function (array $d) {
            foreach ($d['units'] as $i => $unit) {
                if ($unit['id'] === 'fx') {
                    $d['units'][$i]['effects'] = [['id' => 'squeeze', 'at' => 'microphone', 'kind' => 'compressor', 'db' => 4]];
                }
            }

            return $d;
        });
    expect($draft->pair('ann', 'file')->level()?->value())->toBe(4.0)->and($draft->pair('ann', 'file')->effects())->toBe(['Microphone: Compressor'])
        ->and($draft->pair('waltz', 'me')->level()?->value())->toBe(0.0)->and($draft->pair('waltz', 'file')->level())->toBeNull()
        ->and($draft->pair('ann', 'me')->level())->toBeNull();
});

it('listens to a mix that is not one\'s own, at levels in per cent', function () {
    $draft = two_computers()->unit('mix', 'percent-mixer', 'studio')->unit('music', 'music-player', 'studio')->unit('set', 'usb-headset')
        ->cable('usb', 'set/usb', 'here/usb-2')->pick('music/sound', ['device' => 'mix/played-1'])->pick('mix/listening', ['device' => 'set/usb/play'])
        ->source('waltz', 'music/sound')->listener('me', 'set/ear')
        ->set('mix', 'routes', 'played-1>mix-1', ['db' => -6])->set('mix', 'routes', 'played-1>feed-2', ['db' => -12]);
    expect($draft->pair('waltz', 'me')->level()?->value())->toBe(-6.0);
    $draft->set('mix', 'routes', 'feed-2>listening', ['on' => true]);
    expect($draft->pair('waltz', 'me')->level()?->value())->toBe(-12.0);
    $model = Catalogue::of(['percent-mixer' => (string) file_get_contents(dirname(__DIR__, 2).'/resources/catalogue/percent-mixer.json')])->models['percent-mixer'];
    $route = $model->routes['played-1>mix-1'];
    expect($route->allows(RouteSetting::Db))->toBeTrue()->and($route->level?->scale?->levelOf(50)->value())->toBe(-6.0)
        ->and($route->level?->scale?->levelOf(25)->value())->toBe(-12.0);
});

it('makes a professional line of a consumer line', function () {
    $draft = Draft::rig()->tone('player', 2, 'rca-pair')->unit('driver', 'line-driver')->ear('left', 1, 'xlr-f', true)
        ->cable('rca-pair', 'player/out', 'driver/in')->cable('xlr', 'driver/out-left', 'left/in');
    expect($draft->pair('player', 'left')->isHeard())->toBeTrue();
});
