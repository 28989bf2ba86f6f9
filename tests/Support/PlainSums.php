<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * Who hears what, how loud and how late, by a second method that shares no code with the engine: the document's plain data become
 * channels and factors between them, and
 * amplitudes are pushed along these, round by round, until what is left is below -80 dB. Written from the format's description
 * (docs/format/).
 */
final class PlainSums
{
    /** Below this what still moves is forgotten: -80 dB. */
    private const LEAST = 1e-4;

    /** The same where many faint copies are added up: -120 dB. */
    private const LEAST_OF_MANY = 1e-6;

    private const CONDUCTORS = [
        'ts' => 1, 'rca' => 1, 'xlr' => 2, 'trs' => 2, 'rca-pair' => 2, 'speaker' => 2, 'trrs' => 3,
        'ts-6.35' => 1, 'ts-3.5' => 1, 'xlr-f' => 2, 'xlr-m' => 2, 'combo-f' => 2, 'trs-6.35' => 2, 'trs-3.5' => 2, 'binding-post' => 2,
        'trrs-3.5' => 3,
    ];

    /** What a socket carries where it does not say. */
    private const USUAL = [
        'xlr-f' => 'microphone', 'xlr-m' => 'microphone', 'combo-f' => 'microphone', 'ts-6.35' => 'professional-line',
        'trs-6.35' => 'professional-line', 'ts-3.5' => 'consumer-line',
        'trs-3.5' => 'consumer-line', 'rca' => 'consumer-line', 'rca-pair' => 'consumer-line', 'trrs-3.5' => 'headphone',
        'binding-post' => 'loudspeaker', 'optical' => 'optical',
        'coaxial' => 'coaxial', 'usb-a' => 'usb', 'usb-b' => 'usb', 'usb-c' => 'usb', 'micro-usb' => 'usb', 'hdmi' => 'picture',
        'displayport' => 'picture', 'midi-5' => 'midi',
        'rj45' => 'network', 'session' => 'network', 'bluetooth' => 'radio', 'card-slot' => 'card',
    ];

    private const ANALOG = ['microphone', 'instrument', 'consumer-line', 'professional-line', 'headphone', 'loudspeaker'];

    /** What runs in a lead. */
    private const CARRIES = [
        'xlr' => ['analog'], 'ts' => ['analog'], 'trs' => ['analog'], 'trrs' => ['analog'], 'rca-pair' => ['analog'],
        'speaker' => ['analog'], 'rca' => ['analog', 'coaxial'],
        'coaxial' => ['analog', 'coaxial'], 'optical' => ['optical'], 'usb' => ['usb'], 'hdmi' => ['picture'],
        'displayport' => ['picture'], 'midi' => ['midi'], 'network' => ['network'],
        'wireless' => ['radio'], 'captive' => ['analog', 'usb', 'picture'],
    ];

    /** @var array<string, list<array{string, float, int}>> to, amplitude, microseconds; by "unit/point stage channel" */
    private array $links = [];

    /** @var array<string, array<string, mixed>> */
    private array $units;

    /** @var list<array<string, mixed>> */
    private array $cables;

    /** @var array<string, array<string, array<string, mixed>>> by unit, by "unit/point" or "unit/from>to": what is set */
    private array $set = [];

    /** @var array<string, array<string, mixed>> */
    private array $picks = [];

    /** @var array<string, mixed> */
    private array $situation;

    /** @var array<string, true> units that have no power, or not what they need */
    private array $dead;

    /** @param  array<string, mixed>  $data  a document */
    public function __construct(private readonly array $data, ?string $situation = null)
    {
        $situations = array_column($data['situations'], null, 'id');
        $this->situation = $situations[$situation ?? array_key_first($situations)];
        $absent = $this->situation['absent'] ?? [];
        $this->units = array_filter(array_column($data['units'], null, 'id'), fn (array $unit) => ! in_array($unit['id'], $absent, true));
        $this->cables = array_values(array_filter(
            $data['cables'],
            fn (array $cable) => ! in_array($cable['id'], $this->situation['pulled'] ?? [], true)
            && isset($this->units[explode('/', $cable['from'])[0]], $this->units[explode('/', $cable['to'])[0]]),
        ));
        $this->picks = array_column($data['picks'], null, 'at');
        foreach ($this->units as $id => $unit) {
            foreach (['points', 'routes'] as $kind) {
                foreach ($unit['settings'][$kind] ?? [] as $key => $set) {
                    $this->set["{$id}/{$key}"] = $set;
                }
            }
        }
        foreach ($this->situation['changes'] as ['at' => $at, 'set' => $set]) {
            if (array_intersect_key($set, array_flip(['device', 'default', 'channels', 'mode', 'also'])) !== []) {
                $this->picks[$at] = $set;
            } else {
                $this->set[$at] = [...$this->set[$at] ?? [], ...$set];
            }
        }
        $this->dead = $this->without();
        foreach (array_diff_key($this->units, $this->dead) as $id => $unit) {
            $this->inside($id, $this->model($id));
        }
        foreach ($this->cables as $cable) {
            $this->lead($cable);
        }
        $this->programs();
        $this->air();
    }

    /** @return array{float, float}|null dB and ms of the strongest that arrives; null where nothing does */
    public function strongest(string $source, string $listener): ?array
    {
        $ears = array_column($this->data['listeners'], 'at', 'id')[$listener];
        $best = null;
        foreach (array_column($this->data['sources'], 'origins', 'id')[$source] as $origin) {
            foreach (range(1, $this->width($origin['at'])) as $part) {
                foreach ($this->spread(
                    "{$origin['at']} in {$part}",
                    10 ** (($origin['db'] ?? 0) / 20),
                    (int) round(1000 * ($origin['delay_ms'] ?? 0)),
                    $ears,
                ) as $taps) {
                    foreach (self::merged($taps) as [$time, $amplitude]) {
                        if ($best === null || abs($amplitude) > $best[0] * 1.0001
                            || (abs($amplitude) > $best[0] * 0.9999 && $time < $best[1])) {
                            $best = [abs($amplitude), $time];
                        }
                    }
                }
            }
        }

        return $best === null || $best[0] < 1e-3 ? null : [round(20 * log10($best[0]), 1), round($best[1] / 1000, 1)];
    }

    /**
     * How loud a source is everywhere: what comes at one time added as it is, what comes at different times by its power (turned copies close
     * by as far as they cancel), each part of the source by itself. All origins of a part set out together.
     *
     * @return array<string, float> power by "unit/point stage channel" (stages: in, mid, out), of the louder part
     */
    public function powers(string $source): array
    {
        $parts = [];
        foreach (array_column($this->data['sources'], 'origins', 'id')[$source] as $origin) {
            foreach (isset($this->units[explode('/', $origin['at'])[0]]) ? range(1, $this->width($origin['at'])) : [] as $part) {
                $parts[$part]["{$origin['at']} in {$part}"][(int) round(1000 * ($origin['delay_ms'] ?? 0))] = 10 ** (($origin['db'] ?? 0) / 20);
            }
        }
        $powers = [];
        foreach ($parts as $front) {
            $all = [];
            for ($round = 0; $round < 4000 && $front !== []; $round++) {
                $next = [];
                foreach ($front as $at => $taps) {
                    foreach ($taps as $when => $amplitude) {
                        $all[$at][$when] = ($all[$at][$when] ?? 0.0) + $amplitude;
                        foreach (abs($amplitude) < self::LEAST_OF_MANY ? [] : $this->links[$at] ?? [] as [$to, $factor, $more]) {
                            $next[$to][$when + $more] = ($next[$to][$when + $more] ?? 0.0) + $amplitude * $factor;
                        }
                    }
                }
                $front = $next;
            }
            foreach ($all as $at => $taps) {
                $power = self::power($taps);
                $powers[$at] = max($powers[$at] ?? 0.0, $power);
            }
        }

        return $powers;
    }

    /**
     * The loudest channel of a stage of a point.
     *
     * @param  array<string, float>  $powers  as {@see powers()} gives them
     * @return float dB; -INF where nothing is
     */
    public function level(array $powers, string $at, string $stage = 'out'): float
    {
        $loudest = 0.0;
        foreach (isset($this->units[explode('/', $at)[0]]) ? range(1, $this->width($at)) : [] as $channel) {
            $loudest = max($loudest, $powers["{$at} {$stage} {$channel}"] ?? 0.0);
        }

        return $loudest > 0 ? 10 * log10($loudest) : -INF;
    }

    /**
     * What comes within a tenth of a millisecond of what came before is one with it, if it has its sign.
     *
     * @param  array<int, float>  $taps
     * @return list<array{int, float}>
     */
    public static function merged(array $taps): array
    {
        $merged = [];
        foreach (self::together($taps) as $group) {
            foreach ([1, -1] as $sign) {
                $alike = array_filter($group, fn (float $amplitude) => $amplitude * $sign > 0);
                if ($alike !== []) {
                    $merged[] = [array_keys($alike)[0], array_sum($alike)];
                }
            }
        }

        return $merged;
    }

    /**
     * Power of what comes at different times. Where one of two is turned and less than a tenth of a millisecond apart, the mean over octaves
     * from 100 Hz to 8 kHz: of each pair by the cosine integral, the mean of cos(2 pi f t) over log f.
     *
     * @param  array<int, float>  $taps
     */
    public static function power(array $taps): float
    {
        $power = 0.0;
        foreach (self::together($taps) as $group) {
            if (min($group) >= 0 || max($group) <= 0) {
                $power += array_sum($group) ** 2;

                continue;
            }
            foreach ($group as $at => $one) {
                foreach ($group as $when => $other) {
                    $turn = 2e-6 * M_PI * abs($at - $when);
                    $power += $one * $other * ($turn === 0.0 ? 1 : (self::ci(8000 * $turn) - self::ci(100 * $turn)) / log(80));
                }
            }
        }

        return $power;
    }

    /** The cosine integral by its series, good for arguments up to 10: gamma + ln x + sum of (-1)^k x^2k / (2k (2k)!). */
    private static function ci(float $x): float
    {
        $sum = 0.5772156649015329 + log($x);
        $term = 1.0;
        for ($k = 1; $k < 30; $k++) {
            $term *= -$x * $x / ((2 * $k - 1) * 2 * $k);
            $sum += $term / (2 * $k);
        }

        return $sum;
    }

    /**
     * @param  array<int, float>  $taps
     * @return list<non-empty-array<int, float>>
     */
    private static function together(array $taps): array
    {
        ksort($taps);
        $groups = [];
        foreach ($taps as $time => $amplitude) {
            $last = count($groups) - 1;
            if ($last >= 0 && $time - array_keys($groups[$last])[0] < 100) {
                $groups[$last][$time] = $amplitude;
            } else {
                $groups[] = [$time => $amplitude];
            }
        }

        return $groups;
    }

    /**
     * @param  list<string>  $ears
     * @return array<string, array<int, float>> amplitude by microseconds, by channel of an ear
     */
    private function spread(string $start, float $level, int $time, array $ears): array
    {
        $wanted = [];
        foreach ($ears as $ear) {
            foreach (isset($this->units[explode('/', $ear)[0]]) ? range(1, $this->width($ear)) : [] as $channel) {
                $wanted["{$ear} out {$channel}"] = [];
            }
        }
        $front = [$start => [$time => $level]];
        for ($round = 0; $round < 4000 && $front !== []; $round++) {
            $next = [];
            foreach ($front as $at => $taps) {
                foreach ($taps as $when => $amplitude) {
                    if (isset($wanted[$at])) {
                        $wanted[$at][$when] = ($wanted[$at][$when] ?? 0.0) + $amplitude;
                    }
                    foreach (abs($amplitude) < self::LEAST ? [] : $this->links[$at] ?? [] as [$to, $factor, $more]) {
                        $next[$to][$when + $more] = ($next[$to][$when + $more] ?? 0.0) + $amplitude * $factor;
                    }
                }
            }
            $front = $next;
        }

        return $wanted;
    }

    /** @return array<string, mixed> */
    private function model(string $unit): array
    {
        return $this->data['models'][array_column($this->data['units'], 'model', 'id')[$unit]];
    }

    /** @return array<string, mixed> */
    private function point(string $at): array
    {
        [$unit, $point] = explode('/', $at);

        return array_column($this->model($unit)['points'], null, 'id')[$point];
    }

    private function width(string $at): int
    {
        return $this->point($at)['channels'];
    }

    private function link(string $from, string $to, float $factor, float $ms = 0.0): void
    {
        if ($factor !== 0.0) {
            $this->links[$from][] = [$to, $factor, (int) round($ms * 1000)];
        }
    }

    /** @param  array<string, mixed>  $model */
    private function inside(string $id, array $model): void
    {
        foreach ($model['points'] as $point) {
            $at = "{$id}/{$point['id']}";
            $set = $this->set[$at] ?? [];
            $isShut = $this->isMuted($id, $model, $point) || $this->isOutOfScene($id, $point)
                || $this->bySetting($id, $model, 'point', $point['id']) === false;
            $unmuted = 10 ** (($set['gain'] ?? $point['gain']['db'] ?? 0) / 20);
            $unmuted *= isset($point['inverted']) && ($set['inverted'] ?? $point['inverted']) ? -1 : 1;
            $gain = $isShut ? 0.0 : $unmuted;
            $fader = isset($point['fader']) ? $this->faderOf($id, $model, $point) : 0;
            $open = isset($point['fader']) && $fader == $point['fader']['from'] && $fader <= -60 ? 0.0 : 10 ** ($fader / 20);
            // One way through the effects that are on, and one for each mix that leaves some out.
            $chains = ['' => $this->throughEffects($id, $point['id'], null)];
            foreach ($model['routes'] as $route) {
                if ($route['from'] === $point['id'] && ($this->units[$id]['effects'] ?? []) !== []) {
                    $chains["~{$route['to']}"] = $this->throughEffects($id, $point['id'], $route['to']);
                }
            }
            foreach (range(1, $point['channels']) as $c) {
                $isMono = ($set['mono'] ?? $point['mono'] ?? false) && $point['channels'] === 2;
                foreach ($isMono ? [1, 2] : [$c] as $from) {
                    $this->link("{$at} in {$from}", "{$at} raw {$c}", $isMono ? $gain / 2 : $gain, $set['delay_ms'] ?? 0);
                    $this->link("{$at} in {$from}", "{$at} unmuted {$c}", $isMono ? $unmuted / 2 : $unmuted, $set['delay_ms'] ?? 0);
                }
                foreach ($chains as $name => [$gainOf, $msOf]) {
                    $this->link("{$at} raw {$c}", "{$at} mid{$name} {$c}", $gainOf, $msOf);
                    $this->link("{$at} mid{$name} {$c}", "{$at} out{$name} {$c}", $open);
                }
            }
        }
        $chosen = $this->chosen($id, $model['routes']);
        foreach ($model['routes'] as $route) {
            $key = "{$route['from']}>{$route['to']}";
            // An output that follows another has the other's word for each of its sounds, but for exceptions.
            $follows = $this->units[$id]['follows'][$route['to']] ?? null;
            $leading = array_values(array_filter($model['routes'], fn (array $one) => $follows !== null && $one['from'] === $route['from']
                && $one['to'] === $follows['of'] && ! in_array($route['from'], $follows['except'] ?? [], true)))[0] ?? null;
            $said = $leading ?? $route;
            $saidKey = "{$said['from']}>{$said['to']}";
            $set = $this->set["{$id}/{$saidKey}"] ?? [];
            $group = $said['group'] ?? null;
            $isOn = $group === null || ! array_key_exists($group, $chosen) ? $set['on'] ?? $said['on'] ?? true
                : $chosen[$group] === ($said['choice'] ?? $saidKey);
            $isOn = $this->bySetting($id, $model, 'route', $key) ?? $isOn;
            $isOn = $this->byRule($id, $model, $key) ?? $isOn;
            $soloed = $this->soloedInto($id, $model, $route['to']);
            $isOn = $soloed === [] ? $isOn : isset($soloed[$route['from']]);
            $set = isset($soloed[$route['from']]) ? ['tap' => $soloed[$route['from']]] + $set : $set;
            $isAsWide = $this->width("{$id}/{$said['to']}") === $this->width("{$id}/{$route['to']}");
            $route = ['db' => $said['db'] ?? 0, 'tap' => $said['tap'] ?? 'post-fader', 'map' => $isAsWide ? $said['map'] ?? null : $route['map'] ?? null] + $route;
            if (! $isOn) {
                continue;
            }
            $way = ($this->units[$id]['effects'] ?? []) === [] ? '' : "~{$route['to']}";
            $stage = ['input' => 'in', 'before-mute' => 'unmuted', 'pre-fader' => "mid{$way}", 'post-fader' => "out{$way}"][$set['tap'] ?? $route['tap']];
            foreach (self::map(
                $route['map'] ?? null,
                $this->width("{$id}/{$route['from']}"),
                $this->width("{$id}/{$route['to']}"),
            ) as [$a, $b, $factor]) {
                $this->link(
                    "{$id}/{$route['from']} {$stage} {$a}",
                    "{$id}/{$route['to']} in {$b}",
                    $factor * 10 ** (($set['db'] ?? $route['db'] ?? 0) / 20),
                    $route['delay_ms'] ?? 0,
                );
            }
        }
    }

    /**
     * What the named settings of a place say of a route or a point; null where none does.
     *
     * @param  array<string, mixed>  $model
     */
    private function bySetting(string $id, array $model, string $kind, string $key): ?bool
    {
        $says = null;
        foreach ($model['settings'] ?? [] as $setting) {
            $value = $this->units[$id]['settings']['values'][$setting['id']] ?? null;
            foreach ($this->situation['settings'] ?? [] as $one) {
                $value = $one['unit'] === $id && $one['setting'] === $setting['id'] ? $one['value'] : $value;
            }
            foreach ($setting['effects'] ?? [] as $effect) {
                $says = $value !== null && $effect['value'] === $value && ($effect[$kind] ?? null) === $key ? $effect['on'] : $says;
            }
        }

        return $says;
    }

    /** @param  array<string, mixed>  $point */
    private function isOutOfScene(string $id, array $point): bool
    {
        $scenes = array_column($this->units[$id]['scenes'] ?? [], null, 'id');
        if (! ($point['in_scenes'] ?? false) || $scenes === [] || in_array($point['id'], $this->units[$id]['always'] ?? [], true)) {
            return false;
        }
        $shown = array_column($this->situation['scenes'] ?? [], 'scene', 'unit')[$id] ?? array_key_first($scenes);

        foreach ($this->units[$id]['pictures'] ?? [] as $picture) {
            if (($picture['tied'] ?? false) && $picture['sound'] === $point['id']) {
                return ! in_array($picture['id'], $scenes[$shown]['pictures'] ?? [], true);
            }
        }

        return ! in_array($point['id'], $scenes[$shown]['sources'] ?? [], true);
    }

    /** @return array{float, float} factor and ms of the effects of a point, as a mix takes them */
    private function throughEffects(string $id, string $point, ?string $into): array
    {
        [$factor, $ms] = [1.0, 0.0];
        foreach ($this->units[$id]['effects'] ?? [] as $effect) {
            $isOn = $effect['on'] ?? true;
            foreach ($this->situation['effects'] ?? [] as $switch) {
                $isOn = $switch['unit'] === $id && $switch['effect'] === $effect['id'] ? $switch['on'] : $isOn;
            }
            if ($effect['at'] === $point && $isOn && ! in_array($into, $effect['off_for'] ?? [], true)) {
                $factor *= 10 ** (($effect['db'] ?? 0) / 20);
                $ms += $effect['delay_ms'] ?? 0;
            }
        }

        return [$factor, $ms];
    }

    /**
     * @param  array<string, mixed>  $model
     * @param  array<string, mixed>  $point
     */
    private function faderOf(string $id, array $model, array $point): float
    {
        $follows = $this->units[$id]['follows'][$point['id']] ?? null;
        $leader = $follows !== null && ($follows['with_fader'] ?? false) ? array_column($model['points'], null, 'id')[$follows['of']] : null;
        if (isset($leader['fader'])) {
            return max($point['fader']['from'], min($point['fader']['to'], $this->faderOf($id, $model, $leader)));
        }

        return $this->set["{$id}/{$point['id']}"]['fader'] ?? $point['fader']['db'] ?? 0;
    }

    /**
     * Whether a rule of the unit has a route on or off now; null where none says anything. The later rule counts.
     *
     * @param  array<string, mixed>  $model
     */
    private function byRule(string $id, array $model, string $route): ?bool
    {
        $points = array_column($model['points'], null, 'id');
        $is = null;
        foreach ($model['rules'] ?? [] as $rule) {
            $holding = array_filter($rule['when'], fn (array $one) => match ($one['is']) {
                'muted' => $this->isMuted($id, $model, $points[$one['point']]),
                'soloed' => $this->set["{$id}/{$one['point']}"]['solo'] ?? false,
                'open' => ! $this->isMuted($id, $model, $points[$one['point']]) && ! (isset($points[$one['point']]['fader'])
                    && $points[$one['point']]['fader']['from'] <= -60
                    && $this->faderOf($id, $model, $points[$one['point']]) == $points[$one['point']]['fader']['from']),
            });
            if (isset($rule['routes'][$route]) && ($rule['any'] ?? false ? $holding !== [] : count($holding) === count($rule['when']))) {
                $is = $rule['routes'][$route];
            }
        }

        return $is;
    }

    /**
     * @param  array<string, mixed>  $model
     * @return array<string, string> where each point is taken that has taken a bus over
     */
    private function soloedInto(string $id, array $model, string $bus): array
    {
        $taps = [];
        foreach ($model['points'] as $point) {
            if (($point['solo'] ?? null) === $bus && ($this->set["{$id}/{$point['id']}"]['solo'] ?? false)) {
                $taps[$point['id']] = $point['solo_tap'] ?? 'pre-fader';
            }
        }
        foreach ($model['settings'] ?? [] as $setting) {
            $value = $this->units[$id]['settings']['values'][$setting['id']] ?? $setting['factory'];
            foreach ($this->situation['settings'] ?? [] as $one) {
                $value = $one['unit'] === $id && $one['setting'] === $setting['id'] ? $one['value'] : $value;
            }
            foreach ($setting['effects'] ?? [] as $effect) {
                $taps = isset($effect['solo_tap']) && $effect['value'] === $value ? array_map(fn () => $effect['solo_tap'], $taps) : $taps;
            }
        }

        return $taps;
    }

    /**
     * @param  array<string, mixed>  $model
     * @param  array<string, mixed>  $point
     */
    private function isMuted(string $id, array $model, array $point): bool
    {
        $set = $this->set["{$id}/{$point['id']}"] ?? [];
        if ($set['mute'] ?? $point['mute'] ?? false) {
            return true;
        }
        $points = array_column($model['points'], null, 'id');
        foreach ($set['auto_mute'] ?? true ? $model['auto_mutes'] ?? [] : [] as $rule) {
            foreach ($rule['mutes'] === $point['id'] ? $rule['while_open'] : [] as $open) {
                $other = $this->set["{$id}/{$open}"] ?? [];
                $isShut = isset($points[$open]['fader'])
                    && ($other['fader'] ?? $points[$open]['fader']['db']) == $points[$open]['fader']['from'];
                if (! ($other['mute'] ?? $points[$open]['mute'] ?? false) && ! $isShut) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * What each exclusive group is switched to by a setting; the situation's word counts last.
     *
     * @param  list<array<string, mixed>>  $routes
     * @return array<string, string>
     */
    private function chosen(string $id, array $routes): array
    {
        $chosen = [];
        $routes = array_combine(array_map(fn (array $route) => "{$route['from']}>{$route['to']}", $routes), $routes);
        $words = array_map(
            fn (string|int $key) => [(string) $key, $this->units[$id]['settings']['routes'][$key]],
            array_keys($this->units[$id]['settings']['routes'] ?? []),
        );
        foreach ($this->situation['changes'] as ['at' => $at, 'set' => $set]) {
            $words = str_starts_with($at, "{$id}/") ? [...$words, [substr($at, strlen($id) + 1), $set]] : $words;
        }
        foreach ($words as [$key, $set]) {
            $route = $routes[$key] ?? [];
            $group = $route['group'] ?? null;
            $choice = $route['choice'] ?? $key;
            if ($group === null || ! isset($set['on'])) {
                continue;
            }
            $usual = array_values(array_filter($routes, fn (array $one) => ($one['group'] ?? null) === $group && ($one['on'] ?? true)))[0]
                ?? null;
            $now = $chosen[$group] ?? ($usual === null ? '' : $usual['choice'] ?? "{$usual['from']}>{$usual['to']}");
            if ($set['on']) {
                $chosen[$group] = $choice;
            } elseif ($now === $choice) {
                $chosen[$group] = '';
            }
        }

        return $chosen;
    }

    /** @return array<string, mixed> */
    private function socket(string $at): array
    {
        [$unit, $socket] = explode('/', $at);

        return array_column($this->model($unit)['sockets'], null, 'id')[$socket];
    }

    private static function medium(string $signal): string
    {
        return in_array($signal, self::ANALOG, true) ? 'analog' : $signal;
    }

    /** @return list<array{string, array<string, mixed>, string, array<string, mixed>}> out socket, lane, in socket, lane */
    private function lanes(array $cable): array
    {
        [$ends, $joined] = [[$cable['from'], $cable['to']], []];
        foreach ([$ends, array_reverse($ends)] as [$out, $in]) {
            $outs = array_filter($this->socket($out)['lanes'], fn (array $lane) => $lane['way'] === 'out');
            $ins = array_filter($this->socket($in)['lanes'], fn (array $lane) => $lane['way'] === 'in');
            $signal = fn (string $at, array $lane): string => $lane['signal'] ?? $this->socket($at)['signal']
                ?? self::USUAL[$this->socket($at)['connector']];
            foreach (['signal', 'medium'] as $by) {
                foreach ($outs as $o => $give) {
                    foreach ($ins as $i => $take) {
                        [$a, $b] = [$signal($out, $give), $signal($in, $take)];
                        if (! isset($outs[$o]) || ! in_array(self::medium($a), self::CARRIES[$cable['type']], true)
                            || ($by === 'signal' ? $a !== $b : self::medium($a) !== self::medium($b))) {
                            continue;
                        }
                        $joined[] = [$out, $give, $in, $take];
                        unset($outs[$o], $ins[$i]);
                    }
                }
            }
        }

        return $joined;
    }

    /** @param  array<string, mixed>  $cable */
    private function lead(array $cable): void
    {
        if (isset($this->socket($cable['from'])['link'], $this->socket($cable['to'])['link'])) {
            return;
        }
        foreach ($this->hasPhantom($cable) ? $this->lanes($cable) : [] as [$out, $give, $in, $take]) {
            [$from, $to] = [explode('/', $out)[0]."/{$give['point']}", explode('/', $in)[0]."/{$take['point']}"];
            [$a, $b] = [$give['channels'] ?? range(1, $this->width($from)), $take['channels'] ?? range(1, $this->width($to))];
            [$outSocket, $inSocket] = [$this->socket($out), $this->socket($in)];
            $map = self::map(null, count($a), count($b));
            if (isset(self::CONDUCTORS[$outSocket['connector']], self::CONDUCTORS[$inSocket['connector']])) {
                $isTwo = min(
                    self::CONDUCTORS[$cable['type']] ?? 9,
                    self::CONDUCTORS[$outSocket['connector']],
                    self::CONDUCTORS[$inSocket['connector']],
                ) > 1;
                $map = self::map(match (true) {
                    $inSocket['balanced'] ?? false => count($a) > 1 && $isTwo ? 'difference' : 'to-both',
                    count($b) === 1 => 'left',
                    count($a) > 1 && $isTwo => null,
                    ($outSocket['balanced'] ?? false) && $isTwo => 'split-polarity',
                    // One conductor for one microphone: its device has it on both channels.
                    in_array($this->model(explode('/', $in)[0])['family'], ['computer', 'tablet', 'console', 'adapter'], true)
                        && ($take['signal'] ?? $inSocket['signal'] ?? self::USUAL[$inSocket['connector']]) === 'microphone'
                        && str_contains((string) json_encode($this->model(explode('/', $in)[0])['sockets']), '"direction":"recording"')
                        && ! isset($take['channels']) => 'to-both',
                    default => 'to-left',
                }, count($a), count($b));
            }
            foreach ($map as [$x, $y, $factor]) {
                $this->link(
                    "{$from} out {$a[$x - 1]}",
                    "{$to} in {$b[$y - 1]}",
                    $factor,
                    ['network' => 60, 'wireless' => 180][$cable['type']] ?? 0,
                );
            }
        }
    }

    /** Whether something that needs phantom power at one end of a lead gets it at the other. */
    private function hasPhantom(array $cable): bool
    {
        foreach ([[$cable['from'], $cable['to']], [$cable['to'], $cable['from']]] as [$one, $other]) {
            $gives = $this->socket($other)['phantom'] ?? null;
            if (($this->socket($one)['phantom'] ?? null) === 'needs' && $gives !== 'needs' && ! ($gives === 'offers' && $this->isPowered($other))) {
                return false;
            }
        }

        return true;
    }

    private function isPowered(string $at): bool
    {
        [$unit, $socket] = explode('/', $at);
        foreach ($this->model($unit)['settings'] ?? [] as $setting) {
            foreach ($setting['effects'] ?? [] as $effect) {
                if (isset($effect['phantom']) && $effect['socket'] === $socket) {
                    $now = $this->units[$unit]['settings']['values'][$setting['id']] ?? $setting['factory'];
                    foreach ($this->situation['settings'] ?? [] as $one) {
                        $now = $one['unit'] === $unit && $one['setting'] === $setting['id'] ? $one['value'] : $now;
                    }

                    return ($now === $effect['value']) === $effect['phantom'];
                }
            }
        }

        return true;
    }

    /** @return array<string, true> units on bus power that hang nowhere, and all that needs what is away, hangs nowhere, or is dead itself */
    private function without(): array
    {
        $hangs = function (string $id): bool {
            $links = array_filter($this->model($id)['sockets'] ?? [], fn (array $socket) => in_array($socket['link'] ?? '', ['device', 'upstream'], true));
            $ends = array_merge(array_column($this->cables, 'from'), array_column($this->cables, 'to'));

            return $links === [] || array_filter($links, fn (array $socket) => in_array("{$id}/{$socket['id']}", $ends, true)) !== [];
        };
        $all = array_column($this->data['units'], null, 'id');
        $dead = [];
        foreach ($all as $id => $unit) {
            if (($this->model($id)['supply'] ?? '') === 'bus' && ! $hangs($id)) {
                $dead[$id] = true;
            }
        }
        for ($round = 0; $round < count($all); $round++) {
            foreach ($all as $id => $unit) {
                foreach ($unit['needs'] ?? [] as $need) {
                    if (! isset($this->units[$need]) || isset($dead[$need]) || ! $hangs($need)) {
                        $dead[$id] = true;
                    }
                }
            }
        }

        return $dead;
    }

    private function programs(): void
    {
        foreach (array_diff_key($this->units, $this->dead) as $id => $unit) {
            $model = $this->model($id);
            $opened = $sources = [];
            foreach ($model['points'] as $point) {
                $pick = $this->picks["{$id}/{$point['id']}"] ?? null;
                $host = array_values(array_filter($this->units, fn (array $one) => $one['place'] === $unit['place']
                    && in_array($this->model($one['id'])['family'], ['computer', 'tablet'], true)))[0] ?? null;
                if (! isset($point['picks']) || $pick === null || $host === null) {
                    continue;
                }
                // A point with the device of another has only its channels.
                $giving = isset($point['device_of']) ? $this->picks["{$id}/{$point['device_of']}"] ?? [] : $pick;
                $first = $giving === [] ? null : $this->picked($host['id'], $giving, $point['picks']);
                foreach ([[$first, $pick['channels'] ?? null], ...array_map(
                    fn (string $also) => [$this->picked($host['id'], ['device' => $also], $point['picks']), null],
                    $giving['also'] ?? [],
                )] as [$device, $channels]) {
                    $isLooping = ($host['system']['kind'] ?? 'looping') === 'looping';
                    if ($device === null || ($device['direction'] !== $point['picks'] && ! $isLooping)) {
                        continue;
                    }
                    // A program opens so many devices, and takes so many sources, in its own order.
                    $opened[$device['at']] = true;
                    $sources += $point['kind'] === 'in' ? [$point['id'] => true] : [];
                    if (array_search($device['at'], array_keys($opened), true) >= ($model['limits']['devices_at_once'] ?? PHP_INT_MAX)
                        || ($point['kind'] === 'in' && count($sources) > ($model['limits']['sources'] ?? PHP_INT_MAX))
                        || $this->isHeldAgainst((string) $id, $point, $device, $host)) {
                        continue;
                    }
                    $isPlayback = $point['picks'] === 'playback';
                    $isTap = $device['direction'] !== $point['picks'];
                    $width = count($device['channels']);
                    $read = $isPlayback ? $width : min($width, $model['limits']['channels_read'] ?? $width);
                    $map = [];
                    if ($channels !== null) {
                        foreach ($channels as $i => $channel) {
                            foreach (count($channels) === 1 && $point['channels'] === 2 ? [1, 2] : [$i + 1] as $own) {
                                $map[] = $isPlayback ? [$own, $channel, 1.0] : [$channel, $own, $channel <= $read ? 1.0 : 0.0];
                            }
                        }
                    } else {
                        $map = $isPlayback ? self::map(null, $point['channels'], $width) : self::map(null, $read, $point['channels']);
                    }
                    // What is played to a device is taken before it.
                    $ms = $isTap ? 0.0 : $device['latency_ms'];
                    $side = $device['direction'] === 'playback' ? 'in' : 'out';
                    $level = ($pick['mute'] ?? false) ? 0.0 : 10 ** (($pick['db'] ?? 0) / 20) * ($isPlayback ? $this->besideCalls((string) $id, $host) : 1.0);
                    $ofDevice = $this->systemLevel((string) $host['id'], $device['at']);
                    foreach ($map as [$from, $to, $factor]) {
                        $factor *= $level * ($isPlayback || $isTap ? 1.0 : $ofDevice);
                        $end = fn (int $channel) => "device {$host['id']} {$device['at']} {$channel}";
                        $isPlayback
                            ? $this->link("{$id}/{$point['id']} out {$from}", $end($to), $factor, $ms)
                            : $this->link(
                                $isTap ? $end($from) : "{$device['point']} {$side} {$device['channels'][$from - 1]}",
                                "{$id}/{$point['id']} in {$to}",
                                $factor,
                                $ms + ($isTap ? 0 : $device['air_ms']),
                            );
                    }
                }
            }
        }
        foreach (array_keys($this->units) as $id) {
            foreach ($this->devices((string) $id) as $device) {
                foreach ($device['direction'] === 'playback' ? $device['channels'] : [] as $i => $channel) {
                    $this->link(
                        "device {$id} {$device['at']} ".($i + 1),
                        "{$device['point']} in {$channel}",
                        $this->systemLevel((string) $id, $device['at']),
                        $device['air_ms'],
                    );
                }
                $this->played((string) $id, $device);
            }
        }
    }

    /**
     * What is left of a program's sound while a call runs, as the computer is set.
     *
     * @param  array<string, mixed>  $host
     */
    private function besideCalls(string $program, array $host): float
    {
        $calls = array_filter(
            $this->units,
            fn (array $one) => $one['place'] === $host['place'] && $this->model((string) $one['id'])['family'] === 'call',
        );
        if ($calls === [] || isset($calls[$program])) {
            return 1.0;
        }
        $db = 0.0;
        foreach ($this->model((string) $host['id'])['settings'] ?? [] as $setting) {
            $value = $host['settings']['values'][$setting['id']] ?? $setting['factory'];
            foreach ($this->situation['settings'] ?? [] as $one) {
                $value = $one['unit'] === $host['id'] && $one['setting'] === $setting['id'] ? $one['value'] : $value;
            }
            $db -= $setting['lowers_others'] ?? false ? ((float) $value === (float) $setting['to'] ? 200 : $value) : 0;
            foreach ($setting['effects'] ?? [] as $effect) {
                $db += $effect['value'] === $value ? $effect['others_db'] ?? 0 : 0;
            }
        }

        return $db <= -200 ? 0.0 : 10 ** ($db / 20);
    }

    /**
     * Whether another program that starts before has a device, where one of the two wants it for itself.
     *
     * @param  array<string, mixed>  $point
     * @param  array<string, mixed>  $device
     * @param  array<string, mixed>  $host
     */
    private function isHeldAgainst(string $program, array $point, array $device, array $host): bool
    {
        $isExclusive = function (string $unit, array $at) use ($device): bool {
            $pick = $this->picks["{$unit}/".($at['device_of'] ?? $at['id'])] ?? [];
            $ofDevice = array_column($this->data['devices'], 'driver_mode', 'device')[$device['at']] ?? 'shared';

            return ($pick['mode'] ?? $ofDevice) === 'exclusive';
        };
        $turn = fn (array $unit): array => [$unit['start'] ?? PHP_INT_MAX, array_search($unit['id'], array_keys($this->units), true)];
        foreach ($this->units as $id => $unit) {
            if ($id === $program || $unit['place'] !== $host['place'] || $turn($unit) > $turn($this->units[$program])) {
                continue;
            }
            foreach ($this->model((string) $id)['points'] as $other) {
                $pick = isset($other['picks']) ? $this->picks["{$id}/".($other['device_of'] ?? $other['id'])] ?? null : null;
                $of = $pick === null || ! isset($this->picks["{$id}/{$other['id']}"]) || ($pick['tap'] ?? null) !== null
                    ? null
                    : $this->picked((string) $host['id'], $pick, $other['picks']);
                $isTaken = ($of['at'] ?? null) === $device['at'] || in_array($device['at'], $pick['also'] ?? [], true);
                if ($isTaken && ($isExclusive((string) $id, $other) || $isExclusive($program, $point))) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The system's own level of a device as a factor. */
    private function systemLevel(string $host, string $at): float
    {
        $set = [];
        foreach ([...$this->data['devices'], ...$this->situation['levels'] ?? []] as $one) {
            $set = $one['computer'] === $host && $one['device'] === $at ? [...$set, ...array_intersect_key($one, ['db' => 0, 'mute' => 0])] : $set;
        }

        return ($set['mute'] ?? false) ? 0.0 : 10 ** (($set['db'] ?? 0) / 20);
    }

    /**
     * What the system itself plays of a recording device: by way of both buffers.
     *
     * @param  array<string, mixed>  $device
     */
    private function played(string $host, array $device): void
    {
        $devices = $this->devices($host);
        $held = array_column(array_filter($this->data['devices'], fn (array $one) => $one['computer'] === $host), null, 'device');
        $to = $devices[$held[$device['at']]['plays_to'] ?? ''] ?? null;
        $isOff = fn (string $at): bool => ! ($held[$at]['enabled'] ?? true) || isset($held[$at]['unlisted']);
        if ($to === null || $isOff($device['at']) || $isOff($to['at'])) {
            return;
        }
        foreach (self::map(null, count($device['channels']), count($to['channels'])) as [$from, $into, $factor]) {
            $this->link(
                "{$device['point']} out {$device['channels'][$from - 1]}",
                "device {$host} {$to['at']} {$into}",
                $factor * $this->systemLevel($host, $device['at']),
                $device['latency_ms'] + $to['latency_ms'] + $device['air_ms'],
            );
        }
    }

    /**
     * @param  array<string, mixed>  $pick
     * @return array<string, mixed>|null
     */
    private function picked(string $host, array $pick, string $direction): ?array
    {
        $devices = $this->devices($host);
        $ref = $pick['device'] ?? null;
        if ($ref === null && ($this->model($host)['takes'] ?? 'chosen') === 'last-plugged') {
            return $this->pluggedLast($host, $devices, $direction);
        }
        if ($ref === null) {
            $held = array_values(array_filter($this->data['devices'], fn (array $one) => $one['computer'] === $host));
            $moved = [];
            foreach ($this->situation['defaults'] ?? [] as $one) {
                $moved["{$one['computer']} {$one['direction']} {$one['role']}"] = $one['device'];
            }
            $hasCalls = ($this->units[$host]['system']['kind'] ?? 'looping') === 'looping';
            foreach ($pick['default'] === 'call' && $hasCalls ? ['call', $direction] : [$direction] as $role) {
                $settings = array_filter($held, fn (array $one) => in_array($role, $one['roles'] ?? [], true)
                    && ($devices[$one['device']]['direction'] ?? null) === $direction);
                $ref ??= $moved["{$host} {$direction} {$role}"] ?? array_values($settings)[0]['device'] ?? null;
            }
        }
        $isOff = array_filter($this->data['devices'], fn (array $one) => $one['computer'] === $host && $one['device'] === $ref
            && (($one['enabled'] ?? true) === false || isset($one['unlisted']))) !== [];

        return $ref === null || $isOff ? null : $devices[$ref] ?? null;
    }

    /**
     * The device whose lead was plugged in last, its hub's lead counted with it.
     *
     * @param  array<string, array<string, mixed>>  $devices
     * @return array<string, mixed>|null
     */
    private function pluggedLast(string $host, array $devices, string $direction): ?array
    {
        $order = [...array_column($this->data['cables'], 'id'), ...$this->data['situations'][0]['plugged'] ?? [], ...$this->situation['plugged'] ?? []];
        $turn = fn (string $cable): int => max(array_keys($order, $cable, true));
        $best = null;
        foreach ($devices as $device) {
            $leads = $this->leadsTo($host, explode('/', $device['at'])[0]);
            if ($device['direction'] !== $direction || ($leads === [] && ! str_starts_with($device['at'], "{$host}/"))) {
                continue;
            }
            $rank = $leads === [] ? [-1, -1] : [max(array_map($turn, $leads)), $turn($leads[count($leads) - 1])];
            $best = $best === null || $rank > $best[0] ? [$rank, $device] : $best;
        }

        return $best[1] ?? null;
    }

    /** @return list<string> the leads from a computer to a unit, through hubs */
    private function leadsTo(string $from, string $unit, int $depth = 0): array
    {
        foreach ($depth > 8 ? [] : $this->cables as $cable) {
            foreach ([[$cable['from'], $cable['to']], [$cable['to'], $cable['from']]] as [$here, $there]) {
                $isDown = in_array($this->socket($here)['link'] ?? null, ['host', 'downstream'], true);
                [$a, $b] = [explode('/', $here)[0], explode('/', $there)[0]];
                if ($a !== $from || ! $isDown) {
                    continue;
                }
                $further = $b === $unit ? [] : $this->leadsTo($b, $unit, $depth + 1);
                if ($b === $unit || $further !== []) {
                    return [$cable['id'], ...$further];
                }
            }
        }

        return [];
    }

    /** @return array<string, array<string, mixed>> a computer's devices by reference */
    private function devices(string $host): array
    {
        $model = $this->model($host);
        if (! in_array($model['family'], ['computer', 'tablet'], true)) {
            return [];
        }
        $devices = [];
        $add = function (string $at, array $offer, string $point, ?array $channels, float $air) use (&$devices): void {
            $devices[$at] ??= ['at' => $at, 'direction' => $offer['direction'], 'latency_ms' => $offer['latency_ms'] ?? 10,
                'point' => $point, 'channels' => $channels ?? range(1, $this->width($point)), 'air_ms' => $air];
        };
        foreach ($model['sockets'] as $socket) {
            foreach ($socket['lanes'] as $lane) {
                $reaches = array_filter(
                    $this->cables,
                    fn (array $cable) => in_array("{$host}/{$socket['id']}", [$cable['from'], $cable['to']], true)
                    && $this->lanes($cable) !== [],
                );
                if (isset($lane['device']) && (! self::isPicture($socket, $lane) || $reaches !== [])) {
                    $add(
                        "{$host}/{$socket['id']}/{$lane['id']}",
                        $lane['device'],
                        "{$host}/{$lane['point']}",
                        $lane['channels'] ?? null,
                        0.0,
                    );
                }
            }
        }
        foreach ($this->behind($host, 'host') as [$unit, $socket, $air]) {
            foreach ($this->socket("{$unit}/{$socket}")['lanes'] as $lane) {
                if (isset($lane['device'])) {
                    $add("{$unit}/{$socket}/{$lane['id']}", $lane['device'], "{$unit}/{$lane['point']}", $lane['channels'] ?? null, $air);
                }
            }
        }
        foreach ($this->units as $id => $unit) {
            foreach ($unit['place'] === $this->units[$host]['place'] ? $this->model($id)['points'] : [] as $point) {
                if (isset($point['device'])) {
                    $add("{$id}/{$point['id']}", $point['device'], "{$id}/{$point['id']}", null, 0.0);
                }
            }
        }

        return $devices;
    }

    /**
     * @return list<array{string, string, float}> unit and socket of what hangs on a unit's bus sockets, through hubs, and the time by
     *     radio
     */
    private function behind(string $unit, string $link, int $depth = 0): array
    {
        $found = [];
        foreach ($depth > 8 ? [] : $this->model($unit)['sockets'] as $socket) {
            foreach (($socket['link'] ?? null) === $link ? $this->cables : [] as $cable) {
                $there = match ("{$unit}/{$socket['id']}") {
                    $cable['from'] => $cable['to'], $cable['to'] => $cable['from'], default => null,
                };
                if ($there === null) {
                    continue;
                }
                $air = $cable['type'] === 'wireless' ? 180.0 : 0.0;
                [$other, $at] = explode('/', $there);
                $kind = $this->socket($there)['link'] ?? null;
                if ($kind === 'device') {
                    $found[] = [$other, $at, $air];
                } elseif ($kind === 'upstream') {
                    foreach ($this->behind($other, 'downstream', $depth + 1) as [$a, $b, $more]) {
                        $found[] = [$a, $b, $air + $more];
                    }
                }
            }
        }

        return $found;
    }

    private function air(): void
    {
        $paths = [];
        foreach ($this->data['air'] as $path) {
            $paths["{$path['from']} {$path['to']}"] = [$path['from'], $path['to'], $path['db'], $path['delay_ms'] ?? 2.915];
        }
        foreach ($this->units as $from => $speaker) {
            foreach ($this->units as $to => $microphone) {
                if ($this->model($from)['family'] !== 'loudspeaker'
                    || ! in_array($this->model($to)['family'], ['microphone', 'headset', 'webcam'], true)
                    || $speaker['place'] !== $microphone['place']) {
                    continue;
                }
                foreach ($this->model($from)['points'] as $ear) {
                    foreach ($this->model($to)['points'] as $origin) {
                        if ($ear['kind'] === 'ear' && $origin['kind'] === 'origin') {
                            $paths["{$from}/{$ear['id']} {$to}/{$origin['id']}"] ??= ["{$from}/{$ear['id']}", "{$to}/{$origin['id']}",
                                -30, 2.915];
                        }
                    }
                }
            }
        }
        foreach ($paths as [$from, $to, $db, $ms]) {
            foreach (self::map(null, $this->width($from), $this->width($to)) as [$a, $b, $factor]) {
                $this->link("{$from} out {$a}", "{$to} in {$b}", $factor * 10 ** ($db / 20), $ms);
            }
        }
    }

    /**
     * What a map's name or pairs mean, from the format's description; channels from 1.
     *
     * @param  string|list<array{int, int}>|null  $map
     * @return list<array{int, int, float}>
     */
    private static function map(string|array|null $map, int $from, int $to): array
    {
        if (is_array($map)) {
            return array_map(fn (array $pair) => [$pair[0], $pair[1], 1.0], $map);
        }
        $map ??= $from === 1 && $to === 2 ? 'to-both' : ($from === 2 && $to === 1 ? 'average' : 'straight');
        $named = match ($map) {
            'to-both' => [[1, 1, 1.0], [1, 2, 1.0]],
            'to-left' => [[1, 1, 1.0]],
            'to-right' => [[1, 2, 1.0]],
            'left' => [[1, 1, 1.0], [1, 2, 1.0]],
            'right' => [[2, 1, 1.0], [2, 2, 1.0]],
            'average' => [[1, 1, 0.5], [2, 1, 0.5], [1, 2, 0.5], [2, 2, 0.5]],
            'swap' => [[1, 2, 1.0], [2, 1, 1.0]],
            'difference' => [[1, 1, 1.0], [2, 1, -1.0], [1, 2, 1.0], [2, 2, -1.0]],
            'split-polarity' => [[1, 1, 1.0], [1, 2, -1.0]],
            default => array_map(fn (int $channel) => [$channel, $channel, 1.0], range(1, min($from, $to))),
        };

        return array_values(array_filter($named, fn (array $one) => $one[0] <= $from && $one[1] <= $to));
    }

    /** Whether a computer lists a lane of its own only while it reaches something. @param  array<string, mixed>  $socket */
    private static function isPicture(array $socket, array $lane): bool
    {
        return in_array($socket['connector'], ['hdmi', 'displayport'], true) && $lane['device']['direction'] === 'playback';
    }
}
