<?php

declare(strict_types=1);

namespace App\Rigs\Tables;

/** A list or map of a thing that has a table of its own. */
final readonly class Child
{
    /**
     * @param  array<string, string>  $by  columns by which its rows belong to the thing's, and the thing's columns that say the same
     * @param  \Closure(never): iterable<array-key, mixed>  $things  gets the thing
     */
    public function __construct(public Table $table, public array $by, public \Closure $things)
    {
    }
}
