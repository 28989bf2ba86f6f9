<?php

declare(strict_types=1);

namespace App\ViewModels;

/** The units with mixed outputs, and the one whose recipes are shown: the selected one, else the first. */
final readonly class RecipesPage
{
    /** @var list<Recipes> */
    public array $units;

    public ?Recipes $shown;

    public bool $isMatrix;

    public function __construct(RigPage $page)
    {
        $this->units = Recipes::all($page);
        $this->shown = array_values(array_filter($this->units, fn (Recipes $one) => $one->unit->id === $page->selectedUnit))[0]
            ?? $this->units[0] ?? null;
        $this->isMatrix = $page->asked('as') === 'matrix';
    }
}
