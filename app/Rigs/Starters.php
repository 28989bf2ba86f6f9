<?php

declare(strict_types=1);

namespace App\Rigs;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Rig\Rig;

/** The rigs that ship to start from: a document each in resources/starters, and the layout of its map beside it. */
final class Starters
{
    /** @return list<string> */
    public function ids(): array
    {
        return array_map(fn (string $file) => basename($file, '.json'), glob(resource_path('starters/*.json')) ?: []);
    }

    public function has(string $id): bool
    {
        return in_array($id, $this->ids(), true);
    }

    public function text(string $id): string
    {
        return (string) file_get_contents(resource_path("starters/{$id}.json"));
    }

    public function rig(string $id): Rig
    {
        return (new DocumentReader)->read($this->text($id));
    }

    /** @return array{structure: string, geometry: array<string, mixed>}|null */
    public function layout(string $id): ?array
    {
        $file = resource_path("starters/layouts/{$id}.json");

        return is_file($file) ? json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR) : null;
    }

    public function keepLayout(string $id, string $structure, Geometry $geometry): void
    {
        file_put_contents(
            resource_path("starters/layouts/{$id}.json"),
            json_encode(['structure' => $structure, 'geometry' => $geometry->data()], JSON_THROW_ON_ERROR)."\n",
        );
    }
}
