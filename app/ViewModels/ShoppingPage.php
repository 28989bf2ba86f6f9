<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Parts\Shopping;
use HiddenWire\Core\Book\Table;

/** What a rig lacks and what it costs, as the book has it. */
final readonly class ShoppingPage
{
    /** @var list<array{title: string, table: Table}> */
    public array $tables;

    public function __construct(RigPage $page)
    {
        $tables = [];
        $title = '';
        foreach ((new Shopping)->blocks(new BookInput($page->rig)) as $block) {
            if ($block instanceof Heading) {
                $title = $block->text;
            } elseif ($block instanceof Table) {
                $tables[] = ['title' => $title, 'table' => $block];
            }
        }
        $this->tables = $tables;
    }
}
