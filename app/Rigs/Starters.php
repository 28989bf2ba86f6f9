<?php

declare(strict_types=1);

namespace App\Rigs;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Rig\Rig;

/** The rigs that ship: a document each in a folder of resources, and the layout of its map beside it. */
final readonly class Starters
{
    /** @param  string  $folder  of resources: starters, or rigs for those of the demo */
    public function __construct(private string $folder = 'starters')
    {
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(fn (string $file) => basename($file, '.json'), glob(resource_path("{$this->folder}/*.json")) ?: []);
    }

    /** Changes when any of them does. */
    public function stamp(): string
    {
        return CoreBuild::dataStamp();
    }

    public function has(string $id): bool
    {
        return in_array($id, $this->ids(), true);
    }

    public function text(string $id): string
    {
        return (string) file_get_contents(resource_path("{$this->folder}/{$id}.json"));
    }

    public function rig(string $id): Rig
    {
        return (new DocumentReader)->read($this->text($id));
    }

    /** @return array<string, array{structure: string, geometry: array<string, mixed>}> by depth; empty where none ships */
    public function layouts(string $id): array
    {
        $file = resource_path("{$this->folder}/layouts/{$id}.json");

        return is_file($file) ? json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR) : [];
    }

    /** @param  array<string, array{structure: string, geometry: array<string, mixed>}>  $layouts  by depth */
    public function keepLayouts(string $id, array $layouts): void
    {
        // A depth a line: what changes of one is seen as a line.
        $lines = array_map(
            fn (string $depth, array $layout) => json_encode($depth).': '.json_encode($layout, JSON_THROW_ON_ERROR),
            array_keys($layouts),
            $layouts,
        );
        file_put_contents(resource_path("{$this->folder}/layouts/{$id}.json"), "{\n".implode(",\n", $lines)."\n}\n");
    }
}
