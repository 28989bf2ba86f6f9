<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;

/**
 * Makes a model of another size, in the form that documents have: what is said of the last member is said of the next one too, by its
 * number; and nothing is said any more of a member that goes.
 */
final class Growing
{
    /** Keys of lists without which what has them says nothing. */
    private const NEEDED = ['when', 'while_open', 'lanes'];

    /** @var array<string, string> ids of the member by those of the one before it; of the member that goes, themselves */
    private array $ids = [];

    private int $number = 0;

    /** @var array<string, int> channels that a member has of each point that it widens, by point */
    private array $widths = [];

    private function __construct(private readonly Growth $growth)
    {
    }

    /**
     * The model with so many members.
     *
     * @throws InvalidRig where it can't have as many
     */
    public static function to(EquipmentModel $model, Growth $growth, int $count): EquipmentModel
    {
        if ($count < $growth->least || $count > $growth->most) {
            throw new InvalidRig([new Problem(
                "/models/{$model->id}/grows",
                "{$model->name} has ".($count < $growth->least ? 'at least '.Count::of($growth->least, $growth->label)
                    : 'at most '.Count::of($growth->most, $growth->label)).'.',
            )]);
        }
        /** @var array<string, mixed> $data */
        $data = json_decode((string) json_encode((new DocumentWriter)->model($model->unnamed())), true);
        $growing = new self($growth);
        // What has grown past all bounds need not grow on: it is refused below.
        $has = $growth->count($model);
        $blocks = [];
        foreach ($growth->widens as $wide) {
            [$first, $last] = $growth->channelsOf($model, $has, $wide) ?? [1, 0];
            $growing->widths[$wide] = $last - $first + 1;
            $blocks[$wide] = $last;
        }
        for (; $has < $count && count($data['routes']) <= Bounds::ROUTES; $has++) {
            foreach ($blocks as $wide => $last) {
                $data = $growing->moved($data, $wide, $last, $growing->widths[$wide]);
                $blocks[$wide] += $growing->widths[$wide];
            }
            $data = $growing->larger($data, $has);
        }
        for (; $has > $count; $has--) {
            $data = $growing->smaller($data, $has);
            foreach ($blocks as $wide => $last) {
                $data = $growing->moved($data, $wide, $last, -$growing->widths[$wide]);
                $blocks[$wide] -= $growing->widths[$wide];
            }
        }
        try {
            return (new DocumentReader)->model(json_decode((string) json_encode($data)), $model->id, ['models', $model->id]);
        } catch (InvalidDocument $e) {
            throw new InvalidRig($e->problems);
        }
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private function larger(array $data, int $has): array
    {
        $this->number = $has;
        $this->ids = array_combine($this->growth->member($has), $this->growth->member($has + 1));
        $kept = array_intersect_key($data, array_flip(['name', 'summary', 'grows']));
        $data = [...$this->added(array_diff_key($data, $kept)), ...$kept];
        $routes = [];
        foreach ([...$data['routes'], ...$this->between($data['routes'], $has)] as $route) {
            $routes["{$route['from']}>{$route['to']}"] ??= $route;
        }

        return [...$data, 'routes' => array_values($routes)];
    }

    /**
     * @param  list<array<string, mixed>>  $known  the model's routes
     * @return list<array<string, mixed>> routes between the next member and all before it, like those between two that are there
     */
    private function between(array $known, int $has): array
    {
        $routes = [];
        foreach ($this->growth->between as [$from, $to]) {
            $like = self::routeLike($known, $from, $to);
            for ($other = 1; $other <= $has; $other++) {
                $routes[] = [...$like, 'from' => "{$from}-{$other}", 'to' => "{$to}-".($has + 1)];
                $routes[] = [...$like, 'from' => "{$from}-".($has + 1), 'to' => "{$to}-{$other}"];
            }
        }

        return $routes;
    }

    /**
     * @param  list<array<string, mixed>>  $routes
     * @return array<string, mixed> what is said of a route from a part of one member to a part of another; nothing where there is none
     */
    private static function routeLike(array $routes, string $from, string $to): array
    {
        foreach ($routes as $route) {
            $isFrom = preg_match('/^'.preg_quote($from, '/').'-(\d+)$/D', $route['from'], $one) === 1;
            $isTo = preg_match('/^'.preg_quote($to, '/').'-(\d+)$/D', $route['to'], $other) === 1;
            if ($isFrom && $isTo && $one[1] !== $other[1]) {
                return $route;
            }
        }

        return [];
    }

    /**
     * Makes room for a member's channels of a wide point behind a channel, or closes the gap that they leave (less than 0).
     *
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private function moved(array $data, string $wide, int $last, int $by): array
    {
        $move = fn (int $channel): int => $channel > $last ? $channel + $by : $channel;
        foreach ($data['points'] as $i => $point) {
            $data['points'][$i]['channels'] += $point['id'] === $wide ? $by : 0;
        }
        foreach ($data['routes'] as $i => $route) {
            if (is_array($route['map'] ?? null)) {
                $data['routes'][$i]['map'] = array_map(fn (array $pair) => [
                    $route['from'] === $wide ? $move($pair[0]) : $pair[0],
                    $route['to'] === $wide ? $move($pair[1]) : $pair[1],
                ], $route['map']);
            }
        }
        foreach ($data['sockets'] as $s => $socket) {
            foreach ($socket['lanes'] as $l => $lane) {
                if ($lane['point'] === $wide && isset($lane['channels'])) {
                    $isKept = fn (int $channel): bool => $by > 0 || $channel <= $last + $by || $channel > $last;
                    $kept = array_values(array_filter($lane['channels'], $isKept));
                    $data['sockets'][$s]['lanes'][$l]['channels'] = array_map($move, $kept);
                }
            }
        }

        return $data;
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private function smaller(array $data, int $has): array
    {
        $this->ids = array_combine($this->growth->member($has), $this->growth->member($has));
        $kept = array_intersect_key($data, array_flip(['name', 'summary', 'grows']));

        return [...$this->without(array_diff_key($data, $kept)), ...$kept];
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return array<array-key, mixed> with copies of whatever is said of the last member
     */
    private function added(array $node): array
    {
        if (! array_is_list($node)) {
            $made = [];
            foreach ($node as $key => $value) {
                $made[$key] = is_array($value) ? $this->added($value) : $value;
                if (is_string($key) && $this->renamedRoute($key) !== $key) {
                    $made[$this->renamedRoute($key)] = $value;
                }
            }

            return $made;
        }
        // What is grouped of the last member is grouped of the next.
        $made = $copies = [];
        foreach ($node as $item) {
            if ($this->isOfMember($item)) {
                $made[] = $item;
                $copies[] = $this->copy($item);
            } else {
                array_push($made, ...$copies);
                $copies = [];
                $made[] = is_array($item) ? $this->added($item) : $item;
            }
        }

        return [...$made, ...$copies];
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return array<array-key, mixed> without whatever is said of the member that goes
     */
    private function without(array $node): array
    {
        $made = [];
        foreach ($node as $key => $value) {
            if ((is_string($key) && $this->isOfMemberRoute($key)) || $this->isOfMember($value)) {
                continue;
            }
            $kept = is_array($value) ? $this->without($value) : $value;
            foreach (self::NEEDED as $needed) {
                if (is_array($value) && is_array($kept) && ($value[$needed] ?? []) !== [] && $kept[$needed] === []) {
                    continue 2;
                }
            }
            $made[$key] = $kept;
        }

        return array_is_list($node) ? array_values($made) : $made;
    }

    /** Whether an item of a list is a member's, or about it: by its own id, or by what it names. */
    private function isOfMember(mixed $item): bool
    {
        if (is_string($item)) {
            return isset($this->ids[$item]);
        }
        if (is_array($item) && ($item['moves'] ?? []) !== []) {
            // A control that moves others too gets a move more.
            return array_filter($item['moves'], fn (array $move) => ! $this->isAtMember($move['at'])) === [];
        }
        if (is_array($item) && isset($item['at'], $item['set'])) {
            return $this->isAtMember($item['at']);
        }
        foreach (is_array($item) && ! array_is_list($item) ? $item : [] as $key => $value) {
            // Where solo goes says nothing of whose a strip is.
            $isNamed = is_string($value) && $key !== 'solo';
            if ($isNamed && (isset($this->ids[$value]) || ($key === 'device' && $this->deviceOfNext($value) !== null))) {
                return true;
            }
        }

        return false;
    }

    /** Whether what a control moves is a point or a route of the member. */
    private function isAtMember(string $at): bool
    {
        return isset($this->ids[$at]) || $this->isOfMemberRoute($at);
    }

    /** The next member's device, for that of a member's lane: "usb/play-3" for "usb/play-2"; null for any other. */
    private function deviceOfNext(string $device): ?string
    {
        [$socket, $lane] = [...explode('/', $device, 2), ''];

        return isset($this->ids[$lane]) ? "{$socket}/{$this->ids[$lane]}" : null;
    }

    /** @param  bool  $isInside  part of what is copied: its own id may be that of the same part of every member */
    private function copy(mixed $item, bool $isInside = false): mixed
    {
        if (is_string($item)) {
            return $this->ids[$item] ?? $this->renamedRoute($item);
        }
        if (! is_array($item)) {
            return $item;
        }
        $copy = [];
        if (isset($item['group']) && $this->groupOfNext($item['group']) !== null) {
            $item['group'] = $this->groupOfNext($item['group']);
        } elseif (isset($item['group']) && ! isset($item['choice'])) {
            // One choice of a group is on at a time: the next is not.
            $item['on'] = false;
        }
        if (isset($item['from'], $item['to']) && is_array($item['map'] ?? null)) {
            $item['map'] = array_map(fn (array $pair) => [
                $pair[0] + ($this->widths[$item['from']] ?? 0), $pair[1] + ($this->widths[$item['to']] ?? 0),
            ], $item['map']);
        }
        foreach ($item as $key => $value) {
            $copy[is_string($key) ? $this->renamedRoute($key) : $key] = match (true) {
                $key === 'id' && is_string($value) => $this->ids[$value] ?? $this->numbered($value, $isInside),
                $key === 'device' && is_string($value) => $this->deviceOfNext($value) ?? $this->copy($value, true),
                in_array($key, ['label', 'system_name', 'path', 'name', 'legend'], true) && is_string($value) => $this->relabelled($value),
                default => $this->copy($value, true),
            };
        }

        return $copy;
    }

    /** The id of a thing of the next member: with its number at the end. Inside of one, ids without a number stay. */
    private function numbered(string $id, bool $isInside): string
    {
        $stem = (string) preg_replace("/-{$this->number}$/", '', $id);

        return $isInside && $stem === $id ? $id : $stem.'-'.($this->number + 1);
    }

    /** The next member's group of its own: one that ends with a part of the member, `of-mic-1`; null for any other. */
    private function groupOfNext(string $group): ?string
    {
        foreach ($this->ids as $id => $next) {
            if (str_ends_with($group, "-{$id}")) {
                return substr($group, 0, -strlen($id)).$next;
            }
        }

        return null;
    }

    private function relabelled(string $label): string
    {
        return (string) preg_replace("/\b{$this->number}\b/", (string) ($this->number + 1), $label);
    }

    /** A route's key as it is for the next member; any other key as it is. */
    private function renamedRoute(string $key): string
    {
        return str_contains($key, '>')
            ? implode('>', array_map(fn (string $point) => $this->ids[$point] ?? $point, explode('>', $key, 2)))
            : $key;
    }

    private function isOfMemberRoute(string $key): bool
    {
        return str_contains($key, '>') && array_filter(explode('>', $key, 2), fn (string $point) => isset($this->ids[$point])) !== [];
    }
}
