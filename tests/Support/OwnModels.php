<?php

declare(strict_types=1);

namespace Tests\Support;

/** Models by name, out of the appendix of a book: each line names its figures as the format does, with spaces for dots. */
final class OwnModels
{
    private const LISTS = ['Sockets' => 'sockets', 'Points' => 'points', 'Routes' => 'routes', 'Named settings' => 'settings', 'Rules' => 'rules',
        'Automatic mutes' => 'auto_mutes', 'Parts that there may be more of' => 'grows', 'Meters' => 'meters', 'Lamps' => 'lamps'];

    /** Objects that hold further figures, by list; "effects" of a point is one, of a setting a list. */
    private const OBJECTS = ['gain', 'fader', 'level', 'scale', 'device', 'made_at', 'capsule', 'limits', 'effects'];

    private const PARTS = ['lane' => 'lanes', 'effect' => 'effects', 'zone' => 'zones', 'runs on' => 'runs_on', 'when' => 'when', 'between' => 'between'];

    private const FLAGS = ['on', 'balanced', 'isolated', 'captive', 'mute', 'mono', 'inverted', 'in_scenes', 'per_mix', 'phantom', 'coded', 'any',
        'while_muted', 'lowers_others'];

    private const LISTED = ['can', 'channels', 'pick_from', 'kinds', 'can_follow', 'rates_hz', 'while_open', 'parts', 'widens', 'asks'];

    private const POINTS = ['point', 'solo', 'can_follow', 'device_of', 'mutes', 'while_open', 'widens'];

    /** @return array<string, array<string, mixed>> by name */
    public static function of(BookText $book): array
    {
        $chapter = 'Models that are not in the catalogue';
        $models = [];
        foreach ($book->headings($chapter) as $name) {
            preg_match('/^(.+?)\. Used as /', $book->lines($chapter, $name)[0] ?? '', $family);
            $model = ['name' => $name, 'family' => str_replace(' ', '-', $family[1]), 'sockets' => [], 'points' => [], 'routes' => []];
            foreach ($book->rows($chapter, 'What it is', $name) as $row) {
                $model += self::said($row['Figures'], '');
            }
            foreach (self::LISTS as $words => $list) {
                foreach ($book->rows($chapter, $words, $name) as $row) {
                    $said = self::said($row['Figures'], $list);
                    if ($row[$words] === '' && $model[$list] !== []) {
                        $last = count($model[$list]) - 1;
                        $model[$list][$last] = array_merge_recursive($model[$list][$last], $said);

                        continue;
                    }
                    $model[$list][] = match ($list) {
                        'routes' => array_combine(['from', 'to'], explode(' → ', $row[$words])),
                        'auto_mutes' => ['mutes' => $row[$words]],
                        default => ['label' => $row[$words]],
                    } + $said;
                }
            }
            $models[$name] = self::byId($model);
        }

        return $models;
    }

    /** @return array<string, mixed> "gain from: 0; lane way: in" as objects and lists within */
    private static function said(string $figures, string $list): array
    {
        $said = [];
        foreach ($figures === '' ? [] : explode('; ', $figures) as $figure) {
            [$head, $cell] = explode(': ', $figure, 2);
            $at = &$said;
            $words = $head;
            foreach (self::PARTS as $word => $key) {
                if (str_starts_with($words, "{$word} ")) {
                    $at[$key] ??= [[]];
                    $at = &$at[$key][0];
                    $words = substr($words, strlen($word) + 1);

                    break;
                }
            }
            for ($isDeeper = true; $isDeeper;) {
                $isDeeper = false;
                foreach (self::OBJECTS as $object) {
                    $word = str_replace('_', ' ', $object).' ';
                    if (str_starts_with($words, $word)) {
                        $at = &$at[$object];
                        $words = substr($words, strlen($word));
                        $isDeeper = true;
                    }
                }
            }
            $key = str_replace(' ', '_', $words);
            $at[$key] = self::value($key, $cell, $list);
            unset($at);
        }

        return $said;
    }

    private static function value(string $key, string $cell, string $list): mixed
    {
        return match (true) {
            $key === 'channels' && $list === 'points' => (int) $cell,
            $key === 'choices' => explode(' | ', $cell),
            // Of the model itself that is the version of a system.
            $key === 'from' && $list === '' => $cell,
            in_array($key, self::LISTED, true) => array_map(self::plain(...), explode(', ', $cell)),
            in_array($key, self::FLAGS, true) && in_array($cell, ['on', 'off'], true) => $cell === 'on',
            str_contains($cell, '=') => array_map(
                fn (string $pair) => array_map(self::plain(...), explode('=', $pair)),
                explode(', ', $cell),
            ),
            in_array($key, ['value', 'factory'], true) && in_array($cell, ['on', 'off'], true) => $cell === 'on',
            in_array($key, ['path', 'since', 'unit', 'system', 'label', 'colour', 'system_name'], true) => $cell,
            default => self::plain($cell),
        };
    }

    private static function plain(string $text): string|int|float
    {
        return is_numeric($text) ? $text + 0 : $text;
    }

    /**
     * Where lines name points and sockets by what is printed there, the ids.
     *
     * @param  array<string, mixed>  $model
     * @return array<string, mixed>
     */
    private static function byId(array $model): array
    {
        $points = array_column($model['points'], 'id', 'label');
        $sockets = array_column($model['sockets'], 'id', 'label');
        $settings = array_column($model['settings'] ?? [], 'id', 'label');
        $named = function (mixed $of, string|int $key) use (&$named, $points, $sockets, $settings): mixed {
            if (is_array($of)) {
                return array_combine(array_keys($of), array_map(
                    fn (mixed $value, string|int $inner) => $named($value, is_int($inner) ? $key : $inner),
                    $of,
                    array_keys($of),
                ));
            }

            return match (true) {
                in_array($key, self::POINTS, true) => $points[$of] ?? $of,
                $key === 'socket' => $sockets[$of] ?? $of,
                $key === 'setting' => $settings[$of] ?? $of,
                $key === 'route' => implode('>', array_map(fn (string $end) => $points[$end] ?? $end, explode('>', (string) $of))),
                default => $of,
            };
        };
        $model = $named($model, '');
        foreach ($model['routes'] as $i => $route) {
            $model['routes'][$i]['from'] = $points[$route['from']] ?? $route['from'];
            $model['routes'][$i]['to'] = $points[$route['to']] ?? $route['to'];
        }

        return $model;
    }
}
