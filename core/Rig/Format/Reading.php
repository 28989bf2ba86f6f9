<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Rig\Problem;

/** A document that is being read: where the reader is, what was wrong so far, and what the things around it say. */
final class Reading
{
    /** @var list<Problem> */
    private array $problems = [];

    /** @var array<int, string|int> keys and positions from the document down to where the reader is */
    private array $path;

    /** @var list<Said> of each thing that is being read, outermost first */
    private array $things = [];

    /** @var array<string, list<string>> ids by list, of elements that are there but could not be read */
    private array $unreadable = [];

    /**
     * @param  int  $version  of the format that the document is in
     * @param  list<string|int>  $path  the position in a document of what is read
     */
    public function __construct(public readonly int $version, array $path = [])
    {
        $this->path = $path;
    }

    /** @return list<Problem> in the order in which they were found */
    public function problems(): array
    {
        return $this->problems;
    }

    /** How many problems there are so far: a thing is sound if none came while it was read. */
    public function count(): int
    {
        return count($this->problems);
    }

    /** Adds a problem with the value here, or at a key or position below. */
    public function problem(string $message, string|int ...$below): null
    {
        $pointer = '';
        foreach ([...$this->path, ...$below] as $token) {
            $pointer .= '/'.Problem::token((string) $token);
        }
        $this->problems[] = new Problem($pointer, $message);

        return null;
    }

    /** Goes down to a key or position. */
    public function enter(string|int $token): void
    {
        $this->path[] = $token;
    }

    /** Goes on to another one beside it. */
    public function to(string|int $token): void
    {
        $this->path[count($this->path) - 1] = $token;
    }

    public function leave(): void
    {
        array_pop($this->path);
    }

    /** The key or position of what is read. */
    public function here(): string
    {
        return (string) ($this->path[count($this->path) - 1] ?? '');
    }

    public function begin(Said $thing): void
    {
        $this->things[] = $thing;
    }

    public function end(): void
    {
        array_pop($this->things);
    }

    /**
     * What a thing around here says so far, by property.
     *
     * @param  int  $out  0 is the thing whose field is read, 1 the one around it
     * @return array<string, mixed>
     */
    public function thing(int $out = 0): array
    {
        $thing = $this->things[count($this->things) - 1 - $out] ?? null;

        return $thing === null ? [] : $thing->values;
    }

    /** Whether the thing that is read has a key. */
    public function gives(string $key): bool
    {
        $thing = $this->things[count($this->things) - 1] ?? null;

        return $thing !== null && array_key_exists($key, $thing->given);
    }

    /** Notes an element that exists but could not be read, so that it is not reported as missing. */
    public function unreadable(string $list, string $id): void
    {
        $this->unreadable[$list][] = $id;
    }

    /** @return array<string, list<string>> ids by list */
    public function allUnreadable(): array
    {
        return $this->unreadable;
    }
}
