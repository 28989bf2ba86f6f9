<?php

declare(strict_types=1);

namespace Tests\Bench;

use Tests\Support\Draft;

/**
 * A rig of any size for measuring: stations of a desk and a computer each, in groups of five whose desks feed each other in a row at -20
 * dB. The same size always gives the same rig.
 */
final class GeneratedRig
{
    private const UNITS_A_STATION = 20;

    /** Stations that hang together: nobody chains more desks than this. */
    private const GROUP = 5;

    public static function text(int $units, int $cables): string
    {
        mt_srand(20260101 + $units);
        $draft = Draft::rig();
        $stations = intdiv($units, self::UNITS_A_STATION);
        for ($s = 0; $s < $stations; $s++) {
            self::station($draft, $s);
        }
        $data = [];
        $draft->with(function (array $all) use (&$data) {
            return $data = $all;
        });
        // The rest are patch leads: cables that a map has to show and a graph has to hold.
        for ($i = count($data['cables']), $lead = 0; $i < $cables; $i++, $lead++) {
            $s = $lead % $stations;
            $socket = intdiv($lead, $stations) + 1;
            $draft->cable('trs', "patch-{$s}/out-{$socket}", 'patch-'.(($s + 1) % $stations)."/in-{$socket}");
        }

        return $draft->text();
    }

    /** @return array<string, mixed> a patch field of 48 pairs of sockets */
    private static function patchField(): array
    {
        $sockets = [];
        foreach (range(1, 48) as $i) {
            foreach (['in', 'out'] as $way) {
                $sockets[] = ['id' => "{$way}-{$i}", 'label' => ucfirst($way)." {$i}", 'connector' => 'trs-3.5',
                    'lanes' => [['id' => 'l', 'way' => $way, 'point' => $way]]];
            }
        }

        return ['family' => 'mixer', 'name' => 'Patch field', 'sockets' => $sockets,
            'points' => [['id' => 'in', 'kind' => 'in', 'channels' => 2], ['id' => 'out', 'kind' => 'out', 'channels' => 2]],
            'routes' => []];
    }

    private static function station(Draft $draft, int $s): void
    {
        $draft->place("room-{$s}")->unit("pc-{$s}", 'streaming-computer', "room-{$s}")->unit("game-{$s}", 'game', "room-{$s}")
            ->unit("music-{$s}", 'music-player', "room-{$s}")
            ->unit("cast-{$s}", 'broadcast-program', "room-{$s}")->unit("mix-{$s}", Draft::sized('software-mixer', ['inputs' => 3, 'played' => 3, 'mixes' => 2, 'feeds' => 2]), "room-{$s}")
            ->unit("call-{$s}", 'call-program', "room-{$s}")->unit("rec-{$s}", 'clip-recorder', "room-{$s}")
            ->unit("mic-{$s}", 'dynamic-microphone')->unit("boost-{$s}", 'line-booster')
            ->unit(
                "desk-{$s}",
                'eight-input-desk',
                'desk',
                ['points' => ['ch-1' => ['gain' => 25]], 'routes' => ['ch-1>aux-1' => ['on' => true, 'db' => -20]]],
            )
            ->unit("head-{$s}", 'closed-headphones')->unit("iso-{$s}", 'isolator-two-stereo')->unit("card-{$s}", 'capture-card')
            ->unit("console-{$s}", 'console')->unit("split-{$s}", 'hdmi-splitter')
            ->unit("screen-{$s}", 'sound-monitor')->unit("hub-{$s}", 'powered-hub')->unit("cam-{$s}", 'webcam')
            ->unit("face-{$s}", 'two-channel-interface')->unit("patch-{$s}", self::patchField());
        foreach ([['xlr', "mic-{$s}/out", "boost-{$s}/in"], ['xlr', "boost-{$s}/out", "desk-{$s}/mic-1"],
            ['trs', "desk-{$s}/phones", "head-{$s}/plug"], ['trs', "pc-{$s}/line-out", "iso-{$s}/in-1"],
            ['trs', "iso-{$s}/out-1", "desk-{$s}/line-3-4"], ['usb', "desk-{$s}/usb", "pc-{$s}/usb-1"], ['hdmi', "console-{$s}/picture",
                "split-{$s}/in"], ['hdmi', "split-{$s}/out-1", "card-{$s}/picture-1"],
            ['usb', "card-{$s}/usb", "pc-{$s}/usb-2"], ['usb', "pc-{$s}/usb-3", "hub-{$s}/up"], ['usb', "hub-{$s}/port-1",
                "cam-{$s}/usb"], ['usb', "hub-{$s}/port-2", "face-{$s}/usb"]] as [$type, $from, $to]) {
            $draft->cable($type, $from, $to);
        }
        if ($s % self::GROUP > 0) {
            $draft->cable('trs', 'desk-'.($s - 1).'/aux-1', "desk-{$s}/line-5-6");
        }
        foreach (['game/sound' => 'pc-#/line-out/out', 'music/sound' => 'mix-#/played-3', 'mix/mix-1' => 'desk-#/usb/play',
            'cast/source-1' => 'desk-#/usb/rec', 'cast/source-2' => 'mix-#/feed-1', 'cast/source-3' => 'card-#/usb/rec',
            'call/microphone' => 'desk-#/usb/rec', 'call/speaker' => 'mix-#/played-2', 'rec/in-1' => 'desk-#/usb/rec'] as $at => $device) {
            [$unit, $point] = explode('/', $at);
            $draft->pick("{$unit}-{$s}/{$point}", ['device' => str_replace('#', (string) $s, $device)]);
        }
        $draft->device("pc-{$s}", "desk-{$s}/usb/play", ['name' => "Desk {$s}", 'roles' => ['playback']])
            ->source("voice-{$s}", "mic-{$s}/capsule")->source("game-{$s}", "game-{$s}/sound")->source("music-{$s}", "music-{$s}/sound")
            ->source("console-{$s}", "console-{$s}/game")
            ->listener("ears-{$s}", "head-{$s}/ear")->listener("viewers-{$s}", "cast-{$s}/stream")
            ->listener("clip-{$s}", "rec-{$s}/track-1")
            ->wish("voice-{$s}", "viewers-{$s}", 'must')->wish("game-{$s}", "viewers-{$s}", 'must')
            ->wish("music-{$s}", "clip-{$s}", 'must-not')->wish("console-{$s}", "ears-{$s}", 'may');
    }
}
