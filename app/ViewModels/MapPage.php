<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Layout;
use App\Rigs\Geometry;

/** The map as the page shows it: drawn where its layout is known, else with what the browser's worker has to lay out first. */
final readonly class MapPage
{
    public MapGraph $map;

    public ?MapDrawing $drawing;

    /** @var array<string, mixed>|null what the worker has to lay out: everything, or only the lines, while the map is shown */
    public ?array $task;

    /** @param  Layout|null  $layout  the one that is kept for the page's depth */
    public function __construct(RigPage $page, ?Layout $layout)
    {
        $this->map = new MapGraph($page->hearing->graph(), $page->depth);
        $isKnown = $layout !== null && $layout->structure === $this->map->structure();
        $geometry = $isKnown ? Geometry::of($layout->geometry, $this->map) : Geometry::adapted($layout?->geometry, $this->map);
        $this->drawing = $geometry === null ? null : new MapDrawing(
            $this->map,
            $geometry,
            $page->highlighted(),
            $page->finding->about ?? [],
        );
        $this->task = $geometry !== null && ($isKnown || ! $page->canEdit) ? null : [
            'structure' => $this->map->structure(),
            'depth' => $page->depth->value,
            'situation' => $page->situation->id,
            'graph' => $this->map->forLayout() + ($geometry === null ? [] : ['kept' => $geometry->standing()]),
            'to' => route('rigs.layout', $page->record->id),
        ];
    }

    /** The task for the page's script. */
    public function taskText(): string
    {
        return json_encode($this->task, JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}
