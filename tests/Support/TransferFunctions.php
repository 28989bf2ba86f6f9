<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * What a rig does to a sound, by a second method that shares no code with the engine: every channel of every stage is an unknown, every
 * link a complex factor at one frequency,
 * and (I - A(f)) x = b is solved by elimination. Knows units of points and routes and the analog cables between them, read from the
 * document's plain data.
 */
final class TransferFunctions
{
    /** @var array<string, int> number of an unknown by its name */
    private array $unknowns = [];

    /** @var list<array{int, int, float, float}> from, to, signed amplitude, delay in ms */
    private array $links = [];

    /** @param  array<string, mixed>  $data  a document */
    public function __construct(private readonly array $data)
    {
        foreach ($data['units'] as $unit) {
            $model = $data['models'][$unit['model']];
            foreach ($model['points'] as $point) {
                $set = $unit['settings']['points'][$point['id']] ?? [];
                for ($c = 1; $c <= $point['channels']; $c++) {
                    [$in, $mid, $out] = array_map(
                        fn (string $stage) => $this->unknown("{$unit['id']}/{$point['id']} {$stage} {$c}"),
                        ['in', 'mid', 'out'],
                    );
                    $gain = ($set['mute'] ?? false) ? 0.0 : 10 ** (($set['gain'] ?? 0) / 20);
                    if (($set['mono'] ?? false) && $point['channels'] === 2) {
                        foreach ([1, 2] as $other) {
                            $this->links[] = [$this->unknown("{$unit['id']}/{$point['id']} in {$other}"), $mid, $gain / 2,
                                $set['delay_ms'] ?? 0.0];
                        }
                    } else {
                        $this->links[] = [$in, $mid, $gain, $set['delay_ms'] ?? 0.0];
                    }
                    $this->links[] = [$mid, $out, isset($set['fader']) ? 10 ** ($set['fader'] / 20) : 1.0, 0.0];
                }
            }
            foreach ($model['routes'] as $route) {
                $widths = array_column($model['points'], 'channels', 'id');
                $set = $unit['settings']['routes']["{$route['from']}>{$route['to']}"] ?? [];
                if (($set['on'] ?? true) === false) {
                    continue;
                }
                $stage = ['input' => 'in', 'pre-fader' => 'mid', 'post-fader' => 'out'][$route['tap'] ?? 'post-fader'];
                foreach (self::matrix($route['map'] ?? null, $widths[$route['from']], $widths[$route['to']]) as [$a, $b, $factor]) {
                    $this->links[] = [$this->unknown("{$unit['id']}/{$route['from']} {$stage} {$a}"),
                        $this->unknown("{$unit['id']}/{$route['to']} in {$b}"), $factor * 10 ** (($route['db']
                        ?? 0) / 20), $route['delay_ms'] ?? 0.0];
                }
            }
        }
        foreach ($data['cables'] as $cable) {
            [$from, $to] = [$this->socket($cable['from']), $this->socket($cable['to'])];
            // Three contacts at both ends and in the lead: a stereo line; a mono one reaches the tip, a lead of one conductor carries the
            // tip.
            foreach (min($from[1], $to[1]) === 2 && $cable['type'] === 'trs' ? [1, 2] : [1] as $c) {
                $this->links[] = [$this->unknown("{$from[0]} out {$c}"), $this->unknown("{$to[0]} in {$c}"), 1.0, 0.0];
            }
        }
    }

    /**
     * One random rig of one to three units in a row or a ring, with polarity, delays, mono switches, parallel and feedback ways.
     *
     * @return array<string, mixed> a document
     */
    public static function randomRig(): array
    {
        $draft = Draft::rig();
        $count = mt_rand(1, 3);
        for ($u = 0; $u < $count; $u++) {
            [$model, $settings] = self::randomUnit($u);
            $draft->unit("u-{$u}", $model, 'desk', $settings);
        }
        for ($u = 0; $u + 1 < $count; $u++) {
            $draft->cable(mt_rand(0, 4) === 0 ? 'ts' : 'trs', "u-{$u}/out", 'u-'.($u + 1).'/in');
        }
        if ($count > 1 && mt_rand(0, 2) === 0) {
            $draft->cable('trs', 'u-'.($count - 1).'/back', 'u-0/return');
        }
        $draft->source('s', 'u-0/p0', ...($count === 1 ? [] : [['u-'.($count - 1).'/p0', -(float) mt_rand(0, 18)]]))
            ->listener('l', 'u-'.($count - 1).'/p7', 'u-0/p6')->wish('s', 'l', 'must');
        $data = [];
        $draft->with(function (array $all) use (&$data) {
            return $data = $all;
        });

        return $data;
    }

    /**
     * Holds the engine's response against this at random frequencies: within 0.01 dB where the sound is not in a notch; in one, where a
     * hundredth of a decibel is less than what
     * is below the end of the response at -80 dB, within that.
     *
     * @param  array<string, mixed>  $data
     * @param  callable(string): string  $named
     */
    public static function compare(array $data, callable $named): void
    {
        $hearing = Draft::rig()->with(fn () => $data)->hear();
        $pair = $hearing->pair('s', 'l');
        $taps = [];
        foreach ($hearing->response($pair) as $row) {
            $taps["{$row['origin']} {$row['part']} {$row['ear']} {$row['ear_channel']}"] = $row['taps'];
        }
        $truth = new self($data);
        $loop = $hearing->loops()[0] ?? null;
        if ($loop !== null && $loop->gain->value() > -1.5) {
            // Close to howling there is no response that its first 80 dB could describe.
            expect($loop->isAudible())->toBeTrue();

            return;
        }
        $starts = [];
        foreach ($data['sources'][0]['origins'] as $origin) {
            foreach ($truth->channelsOf($origin['at']) as $part) {
                $starts[] = "{$origin['at']} in {$part}";
            }
        }
        foreach (range(1, 2) as $_) {
            $hertz = mt_rand(20, 20_000) + mt_rand(0, 999) / 1000;
            $all = $truth->from($starts, $hertz);
            foreach ($data['sources'][0]['origins'] as $origin) {
                foreach ($truth->channelsOf($origin['at']) as $part) {
                    $solved = $all["{$origin['at']} in {$part}"];
                    foreach ($data['listeners'][0]['at'] as $ear) {
                        foreach ($truth->channelsOf($ear) as $channel) {
                            [$re, $im] = $solved["{$ear} out {$channel}"];
                            $level = 10 ** (($origin['db'] ?? 0) / 20);
                            [$re, $im] = [$re * $level, $im * $level];
                            $sumRe = $sumIm = $sizes = 0.0;
                            foreach ($taps["{$origin['at']} {$part} {$ear} {$channel}"] ?? [] as [$ms, $amplitude]) {
                                $sumRe += $amplitude * cos(-2 * M_PI * $hertz * $ms / 1000);
                                $sumIm += $amplitude * sin(-2 * M_PI * $hertz * $ms / 1000);
                                $sizes += abs($amplitude);
                            }
                            $size = hypot($re, $im);
                            $error = hypot($re - $sumRe, $im - $sumIm);
                            $allowed = max((10 ** (0.01 / 20) - 1) * $size, 1e-3 * max($sizes, 0.3));
                            expect($error)->toBeLessThanOrEqual(
                                $allowed,
                                $named("{$origin['at']} {$part} to {$ear} {$channel} at {$hertz} Hz: {$size} by algebra, error {$error}"),
                            );
                        }
                    }
                }
            }
        }
    }

    /** @return list<int> */
    public function channelsOf(string $at): array
    {
        [$unit, $id] = explode('/', $at);
        $model = $this->data['models'][array_column($this->data['units'], 'model', 'id')[$unit]];

        return range(1, array_column($model['points'], 'channels', 'id')[$id]);
    }

    /**
     * @param  list<string>  $starts
     * @return array<string, array<string, array{float, float}>> by start: every unknown for a sound of amplitude 1 there
     */
    public function from(array $starts, float $hertz): array
    {
        $n = count($this->unknowns);
        // Rows of (I - A | b), real and imaginary: x = A x + b. Only what is not zero is kept.
        $re = $im = array_fill(0, $n, []);
        for ($i = 0; $i < $n; $i++) {
            $re[$i][$i] = 1.0;
            $im[$i][$i] = 0.0;
        }
        foreach ($this->links as [$from, $to, $amplitude, $ms]) {
            $angle = -2 * M_PI * $hertz * $ms / 1000;
            $re[$to][$from] = ($re[$to][$from] ?? 0.0) - $amplitude * cos($angle);
            $im[$to][$from] = ($im[$to][$from] ?? 0.0) - $amplitude * sin($angle);
        }
        foreach ($starts as $b => $start) {
            $re[$this->unknowns[$start]][$n + $b] = 1.0;
            $im[$this->unknowns[$start]][$n + $b] = 0.0;
        }
        for ($k = 0; $k < $n; $k++) {
            $pivot = $k;
            $size = fn (int $row): float => ($re[$row][$k] ?? 0.0) ** 2 + ($im[$row][$k] ?? 0.0) ** 2;
            for ($i = $k + 1; $i < $n; $i++) {
                $pivot = isset($re[$i][$k]) && $size($i) > 4 * $size($pivot) ? $i : $pivot;
            }
            [$re[$k], $re[$pivot], $im[$k], $im[$pivot]] = [$re[$pivot], $re[$k], $im[$pivot], $im[$k]];
            $square = $re[$k][$k] ** 2 + $im[$k][$k] ** 2;
            for ($i = 0; $i < $n; $i++) {
                if ($i === $k || ! isset($re[$i][$k])) {
                    continue;
                }
                $fr = ($re[$i][$k] * $re[$k][$k] + $im[$i][$k] * $im[$k][$k]) / $square;
                $fi = ($im[$i][$k] * $re[$k][$k] - $re[$i][$k] * $im[$k][$k]) / $square;
                unset($re[$i][$k], $im[$i][$k]);
                foreach ($re[$k] as $j => $a) {
                    if ($j > $k) {
                        $re[$i][$j] = ($re[$i][$j] ?? 0.0) - $fr * $a + $fi * $im[$k][$j];
                        $im[$i][$j] = ($im[$i][$j] ?? 0.0) - $fr * $im[$k][$j] - $fi * $a;
                    }
                }
            }
        }
        $solved = [];
        foreach ($this->unknowns as $name => $i) {
            $square = $re[$i][$i] ** 2 + $im[$i][$i] ** 2;
            foreach ($starts as $b => $start) {
                [$x, $y] = [$re[$i][$n + $b] ?? 0.0, $im[$i][$n + $b] ?? 0.0];
                $solved[$start][$name] = [($x * $re[$i][$i] + $y * $im[$i][$i]) / $square, ($y * $re[$i][$i] - $x * $im[$i][$i]) / $square];
            }
        }

        return $solved;
    }

    /** @return array{array<string, mixed>, array<string, mixed>} model and settings */
    private static function randomUnit(int $number): array
    {
        $widths = array_map(fn () => mt_rand(1, 2), range(0, 7));
        $points = $set = [];
        foreach ($widths as $i => $width) {
            $points[] = ['id' => "p{$i}", 'kind' => $i === 0 ? 'origin' : ($i > 5 ? 'ear' : 'strip'), 'channels' => $width,
                'gain' => ['from' => -40, 'to' => 20], 'fader' => ['from' => -90, 'to' => 10], 'mute' => false, 'mono' => false,
                'delay_to_ms' => 500];
            $set["p{$i}"] = array_filter(
                ['gain' => mt_rand(0, 2) === 0 ? mt_rand(-60, 60) / 10 : null, 'fader' => mt_rand(0, 2) === 0
                ? mt_rand(-120, 30) / 10 : null, 'mono' => $width === 2 && mt_rand(0, 4) === 0 ? true : null,
                    'mute' => mt_rand(0, 24) === 0 ? true : null, 'delay_ms' => mt_rand(0, 3) === 0 ? mt_rand(0, 40_000) / 1000 : null],
                fn (mixed $one) => $one !== null,
            );
        }
        $routes = $switched = [];
        foreach (range(1, mt_rand(6, 13)) as $_) {
            [$from, $to] = [mt_rand(0, 6), mt_rand(1, 7)];
            if ($from === $to || isset($routes["{$from}>{$to}"])) {
                continue;
            }
            $maps = [null, null, ...($widths[$from] === 2
                    ? ['average', 'left', 'right', 'difference', ...($widths[$to] === 2 ? ['swap'] : [])]
                    : ($widths[$to] === 2 ? ['split-polarity', 'to-left', 'to-right', 'to-both'] : []))];
            $map = $maps[array_rand($maps)];
            // Back against the usual direction at a level that does not howl.
            $routes["{$from}>{$to}"] = array_filter(
                ['from' => "p{$from}", 'to' => "p{$to}", 'db' => $to < $from ? -mt_rand(90, 300) / 10
                    : mt_rand(-120, 20) / 10, 'tap' => ['input', 'pre-fader', 'post-fader'][mt_rand(0, 2)],
                    'map' => $map, 'delay_ms' => mt_rand(0, 2) === 0 ? mt_rand(0, 30_000) / 1000 : null, 'can' => ['on']],
                fn (mixed $one) => $one !== null,
            );
            if (mt_rand(0, 14) === 0) {
                $switched["p{$from}>p{$to}"] = ['on' => false];
            }
        }
        $socket = fn (string $id, string $way, string $point) => ['id' => $id, 'label' => $id, 'connector' => 'trs-3.5',
            'lanes' => [['id' => 'l', 'way' => $way, 'point' => $point]]];

        return [['points' => $points, 'routes' => array_values($routes),
            'sockets' => [$socket('in', 'in', 'p1'), $socket('return', 'in', 'p2'), $socket('out', 'out', 'p5'),
                $socket('back', 'out', 'p4')]], array_filter(['points' => array_filter($set), 'routes' => $switched])];
    }

    private function unknown(string $name): int
    {
        return $this->unknowns[$name] ??= count($this->unknowns);
    }

    /** @return array{string, int} the point behind a socket, and its channels */
    private function socket(string $at): array
    {
        [$unit, $id] = explode('/', $at);
        $model = $this->data['models'][array_column($this->data['units'], 'model', 'id')[$unit]];
        foreach ($model['sockets'] as $socket) {
            if ($socket['id'] === $id) {
                $point = $socket['lanes'][0]['point'];

                return ["{$unit}/{$point}", array_column($model['points'], 'channels', 'id')[$point]];
            }
        }
        throw new \LogicException("No socket {$at}");
    }

    /** @return list<array{int, int, float}> what a map's name means, from the format's description; channels from 1 */
    private static function matrix(?string $map, int $from, int $to): array
    {
        $named = [
            'average' => [[1, 1, 0.5], [2, 1, 0.5], [1, 2, 0.5], [2, 2, 0.5]],
            'left' => [[1, 1, 1.0], [1, 2, 1.0]],
            'right' => [[2, 1, 1.0], [2, 2, 1.0]],
            'difference' => [[1, 1, 1.0], [2, 1, -1.0], [1, 2, 1.0], [2, 2, -1.0]],
            'swap' => [[1, 2, 1.0], [2, 1, 1.0]],
            'split-polarity' => [[1, 1, 1.0], [1, 2, -1.0]],
            'to-left' => [[1, 1, 1.0]],
            'to-right' => [[1, 2, 1.0]],
            'to-both' => [[1, 1, 1.0], [1, 2, 1.0]],
            'same' => [[1, 1, 1.0], [2, 2, 1.0]],
        ];
        $map ??= $from === $to ? 'same' : ($from === 1 ? 'to-both' : 'average');

        return array_values(array_filter($named[$map], fn (array $one) => $one[0] <= $from && $one[1] <= $to));
    }
}
