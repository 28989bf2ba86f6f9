<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Growth;
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
        for ($has = $growth->count($model); $has < $count && count($data['routes']) <= ModelReader::MOST_ROUTES; $has++) {
            $data = $growing->larger($data, $has);
        }
        for (; $has > $count; $has--) {
            $data = $growing->smaller($data, $has);
        }
        /** @var \ArrayObject<int, Problem> $problems */
        $problems = new \ArrayObject;
        $made = (new ModelReader)->read($model->id, new Fields(
            json_decode((string) json_encode($data)),
            '/models/'.Problem::token($model->id),
            $problems,
        ));
        $found = array_values($problems->getArrayCopy());
        if ($found !== []) {
            throw new InvalidRig($found);
        }

        return $made ?? throw new \LogicException("{$model->name} could not be read again.");
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
        foreach ([...$data['routes'], ...$this->between($has)] as $route) {
            $routes["{$route['from']}>{$route['to']}"] ??= $route;
        }

        return [...$data, 'routes' => array_values($routes)];
    }

    /** @return list<array{from: string, to: string}> routes between the next member and all before it */
    private function between(int $has): array
    {
        $routes = [];
        foreach ($this->growth->between as [$from, $to]) {
            for ($other = 1; $other <= $has; $other++) {
                $routes[] = ['from' => "{$from}-{$other}", 'to' => "{$to}-".($has + 1)];
                $routes[] = ['from' => "{$from}-".($has + 1), 'to' => "{$to}-{$other}"];
            }
        }

        return $routes;
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
        // What stands together of the last member stands together of the next.
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
        foreach (is_array($item) && ! array_is_list($item) ? $item : [] as $value) {
            if (is_string($value) && isset($this->ids[$value])) {
                return true;
            }
        }

        return false;
    }

    /** @param  bool  $isInside  part of what is copied: its own id may be that of the same part of every member */
    private function copy(mixed $item, bool $isInside = false): mixed
    {
        if (is_string($item)) {
            return $this->ids[$item] ?? $item;
        }
        if (! is_array($item)) {
            return $item;
        }
        $copy = [];
        // One choice of a group is on at a time: the next is not.
        if (isset($item['group']) && ! isset($item['choice'])) {
            $item['on'] = false;
        }
        foreach ($item as $key => $value) {
            $copy[is_string($key) ? $this->renamedRoute($key) : $key] = match (true) {
                $key === 'id' && is_string($value) => $this->ids[$value] ?? $this->numbered($value, $isInside),
                in_array($key, ['label', 'system_name', 'path'], true) && is_string($value) => $this->relabelled($value),
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
