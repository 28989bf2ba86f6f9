<?php

declare(strict_types=1);

namespace Tests\Support;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/**
 * Every field that a rig's document can have, by its path (`units[].firmware`, `units[].settings.points{}.gain`), as the schema has it; and
 * rigs in which one of them is changed. Values come from the schema (choices, bounds) and from other documents that say something there.
 */
final class EveryField
{
    /** Things that say nothing there in which a value is tried. */
    private const SILENT = 12;

    private const ATTEMPTS = 300;

    /** @var array<string, array<string, mixed>> schema of each field's value, by path */
    public readonly array $fields;

    /** @var array<string, array<string, mixed>> */
    private array $defs;

    /** @var array<string, list<mixed>> values that any document says, by path */
    private array $said = [];

    /** @var array<string, \stdClass> documents by name */
    private array $documents = [];

    /** @var array<string, string> as the application writes them, by name */
    private array $written = [];

    /** @var array<string, list<string>> every text of a document that is short, by name */
    private array $texts = [];

    /** @param  array<string, string>  $texts  documents by name */
    public function __construct(array $texts)
    {
        $definitions = new Definitions;
        $root = Rigs::rig()->schema($definitions);
        $this->defs = $definitions->all();
        $this->fields = iterator_to_array($this->walk($root, '', []));
        foreach ($texts as $name => $text) {
            $this->documents[$name] = json_decode($text);
            $this->gather($this->documents[$name], '');
        }
    }

    /**
     * Rigs in which one field is changed and nothing else, as far as they can be read. Things that say something there come first, by turns.
     *
     * @return iterable<string, Rig> by the name of the document
     */
    public function changed(string $path): iterable
    {
        foreach ($this->documents as $name => $document) {
            $attempts = [];
            foreach ($this->owners($document, $path) as $turn => [$steps, $key, $isSaid]) {
                $values = ($isSaid || $turn < self::SILENT) ? $this->values($path, $document, $steps, $key, $turn < 3) : [];
                foreach ($values as $i => $value) {
                    $attempts[] = [$isSaid ? 0 : 1, $i, $turn, $steps, $key, $value];
                }
            }
            usort($attempts, fn (array $a, array $b) => array_slice($a, 0, 3) <=> array_slice($b, 0, 3));
            foreach (array_slice($attempts, 0, self::ATTEMPTS) as [, , , $steps, $key, $value]) {
                $rig = $this->with($document, $steps, $key, $value);
                if ($rig !== null && (new DocumentWriter)->write($rig) !== $this->canonical($name)) {
                    yield $name => $rig;
                }
            }
        }
    }

    /** @param  list<int|string>  $steps  to the thing that has the key */
    private function with(\stdClass $document, array $steps, string $key, mixed $value): ?Rig
    {
        $copy = json_decode((string) json_encode($document));
        $owner = &self::at($copy, $steps);
        if ($value === null) {
            unset($owner->{$key});
        } else {
            $owner->{$key} = $value;
        }
        unset($owner);
        try {
            return (new DocumentReader)->read((string) json_encode($copy));
        } catch (InvalidDocument|InvalidRig) {
            return null;
        }
    }

    public function rig(string $name): Rig
    {
        return (new DocumentReader)->read((string) json_encode($this->documents[$name]));
    }

    private function canonical(string $name): string
    {
        return $this->written[$name] ??= (new DocumentWriter)->write($this->rig($name));
    }

    /**
     * @param  array<string, mixed>  $schema
     * @param  list<string>  $inside  definitions that it is in
     * @return iterable<string, array<string, mixed>>
     */
    private function walk(array $schema, string $path, array $inside): iterable
    {
        [$schema, $inside] = $this->resolved($schema, $inside);
        $properties = $this->properties($schema);
        if ($properties !== []) {
            foreach ($properties as $key => $of) {
                yield from $this->walk($of, $path === '' ? (string) $key : "{$path}.{$key}", $inside);
            }
        } elseif (is_array($schema['items'] ?? null) && $this->isThing($schema['items'])) {
            yield from $this->walk($schema['items'], "{$path}[]", $inside);
        } elseif (is_array($schema['additionalProperties'] ?? null) && $this->isThing($schema['additionalProperties'])) {
            yield from $this->walk($schema['additionalProperties'], "{$path}{}", $inside);
        } else {
            yield $path => $schema;
        }
    }

    /**
     * @param  array<string, mixed>  $schema
     * @param  list<string>  $inside
     * @return array{array<string, mixed>, list<string>}
     */
    private function resolved(array $schema, array $inside): array
    {
        while (isset($schema['$ref'])) {
            $name = substr($schema['$ref'], strlen('#/$defs/'));
            if (in_array($name, $inside, true)) {
                return [[], $inside];
            }
            $inside[] = $name;
            $schema = $this->defs[$name] + array_diff_key($schema, ['$ref' => true]);
        }

        return [$schema, $inside];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, array<string, mixed>> also those that it has only in some cases
     */
    private function properties(array $schema): array
    {
        [$schema] = $this->resolved($schema, []);
        $properties = $schema['properties'] ?? [];
        foreach (array_filter([$schema['then'] ?? [], $schema['else'] ?? [], ...$schema['anyOf'] ?? []]) as $part) {
            foreach ($this->properties($part) as $key => $of) {
                // What is said more precisely elsewhere is there.
                $properties[$key] = isset($properties[$key]) && $properties[$key] !== $of ? ['anyOf' => [$properties[$key], $of]] : $of;
            }
        }

        return $properties;
    }

    /** @param  array<string, mixed>  $schema */
    private function isThing(array $schema): bool
    {
        [$schema] = $this->resolved($schema, []);

        return $this->properties($schema) !== [];
    }

    /** Notes what a document says, by path. */
    private function gather(mixed $of, string $path): void
    {
        if ($path !== '' && isset($this->fields[$path])) {
            $this->said[$path][json_encode($of)] = $of;

            return;
        }
        foreach ((array) $of as $key => $value) {
            $next = match (true) {
                is_array($of) => "{$path}[]",
                $this->isMap($path) => "{$path}{}",
                default => $path === '' ? (string) $key : "{$path}.{$key}",
            };
            if ($value instanceof \stdClass || is_array($value)) {
                $this->gather($value, $next);
            } elseif (isset($this->fields[$next])) {
                $this->said[$next][json_encode($value)] = $value;
            }
        }
    }

    private function isMap(string $path): bool
    {
        foreach (array_keys($this->fields) as $field) {
            if (str_starts_with($field, "{$path}{}")) {
                return true;
            }
        }

        return false;
    }

    /**
     * Where a field could be in a document.
     *
     * @return list<array{list<int|string>, string, bool}> the way to what has it, its key there, and whether it is said
     */
    private function owners(\stdClass $document, string $path): array
    {
        $tokens = preg_split('/\./', $path) ?: [];
        $key = (string) array_pop($tokens);
        $places = [[]];
        foreach ($tokens as $token) {
            $name = rtrim($token, '[]{}');
            $next = [];
            foreach ($places as $steps) {
                $here = self::at($document, $steps);
                $there = $here instanceof \stdClass ? $here->{$name} ?? null : null;
                if (str_ends_with($token, '[]') || str_ends_with($token, '{}')) {
                    foreach (array_keys((array) $there) as $i) {
                        $next[] = [...$steps, $name, $i];
                    }
                } elseif ($there instanceof \stdClass) {
                    $next[] = [...$steps, $name];
                }
            }
            $places = $next;
        }

        $all = array_map(fn (array $steps) => [$steps, $key, isset(self::at($document, $steps)->{$key})], $places);
        usort($all, fn (array $a, array $b) => $b[2] <=> $a[2]);

        return $all;
    }

    /** @param  list<int|string>  $steps */
    private static function &at(mixed &$of, array $steps): mixed
    {
        $here = &$of;
        foreach ($steps as $step) {
            if (is_array($here)) {
                $here = &$here[$step];
            } else {
                $here = &$here->{$step};
            }
        }

        return $here;
    }

    /**
     * Other values for a field: by its schema, then what other things say there; null leaves it out.
     *
     * @param  bool  $isWide  whether whatever is written anywhere in the document is tried, too: a reference names something
     * @param  list<int|string>  $steps
     * @return list<mixed>
     */
    private function values(string $path, \stdClass $document, array $steps, string $key, bool $isWide): array
    {
        $owner = self::at($document, $steps);
        $now = $owner->{$key} ?? null;
        $schema = $this->fields[$path];
        $values = $more = [];
        foreach ([$schema, ...$schema['anyOf'] ?? [], ...$schema['oneOf'] ?? []] as $one) {
            [$one] = $this->resolved($one, []);
            $types = (array) ($one['type'] ?? []);
            array_push($values, ...$one['enum'] ?? []);
            if (in_array('boolean', $types, true)) {
                array_push($values, true, false);
            }
            if (in_array('number', $types, true) || in_array('integer', $types, true)) {
                $base = is_int($now) || is_float($now) ? $now : 0;
                array_push($values, $base + 1, $base - 1, $base + 5, $base - 5, $one['minimum'] ?? 1, $one['maximum'] ?? 1);
            }
            if (in_array('string', $types, true)) {
                $values[] = 'Otherwise';
            }
            if ($isWide && isset($one['pattern']) && is_string($now)) {
                $pattern = '~'.str_replace('~', '\\~', $one['pattern']).'~u';
                $peers = $this->peersOf($document, $now) ?: $this->textsOf($document);
                array_push($more, ...array_filter($peers, fn (string $text) => preg_match($pattern, $text) === 1));
            }
        }
        $others = array_values($this->said[$path] ?? []);
        if (is_array($now) && $now !== []) {
            $values[] = array_slice($now, 1);
            foreach ($others as $other) {
                is_array($other) && array_push($values, ...array_map(fn (mixed $more) => [...$now, $more], array_slice($other, 0, 3)));
            }
        }
        array_push($values, ...array_slice($others, 0, 40));
        $values[] = null;
        array_push($values, ...$more);

        return array_values(array_filter($values, fn (mixed $value) => json_encode($value) !== json_encode($now)));
    }

    /** @return list<string> what a reference could name as well: all that is in a list with what it names */
    private function peersOf(\stdClass $document, string $name): array
    {
        $things = ['places', 'units', 'cables', 'sources', 'listeners', 'situations', 'controls'];
        $lists = array_map(fn (string $key) => array_column($document->{$key}, 'id'), $things);
        $sockets = $points = [];
        foreach ($document->units as $unit) {
            $model = $document->models->{$unit->model};
            foreach ($model->sockets as $socket) {
                $sockets[] = "{$unit->id}/{$socket->id}";
            }
            foreach ($model->points as $point) {
                $points[] = "{$unit->id}/{$point->id}";
            }
            foreach ([$model->sockets, $model->points, $model->settings ?? [], $unit->effects ?? [], $unit->scenes ?? []] as $inside) {
                $lists[] = array_column($inside, 'id');
            }
        }
        $peers = [];
        foreach ([...$lists, $sockets, $points] as $list) {
            $peers += in_array($name, $list, true) ? array_fill_keys($list, true) : [];
        }

        return array_map(strval(...), array_keys($peers));
    }

    /** @return list<string> every text of a document, once: for what names nothing of a list */
    private function textsOf(\stdClass $document): array
    {
        $name = (string) array_search($document, $this->documents, true);
        if (! isset($this->texts[$name])) {
            $texts = [];
            $walk = function (mixed $of) use (&$walk, &$texts): void {
                foreach ((array) $of as $value) {
                    is_string($value) ? $texts[$value] = true : (is_scalar($value) || $value === null ?: $walk($value));
                }
            };
            $walk($document);
            $this->texts[$name] = array_map(strval(...), array_keys($texts));
        }

        return $this->texts[$name];
    }
}
