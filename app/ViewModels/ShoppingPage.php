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
    /** @var list<array{title: string, columns: list<string>, rows: list<list<string>>, rest: list<list<string>>}> `rest` is owned */
    public array $tables;

    public function __construct(RigPage $page)
    {
        $tables = [];
        $title = '';
        foreach ((new Shopping)->blocks(new BookInput($page->rig, lengths: $page->lengths)) as $block) {
            if ($block instanceof Heading) {
                $title = $block->text;
            } elseif ($block instanceof Table) {
                $tables[] = ['title' => $title, 'columns' => $block->columns, ...self::split($block)];
            }
        }
        $this->tables = $tables;
    }

    /** @return array{rows: list<list<string>>, rest: list<list<string>>} what is to buy, and what is there already */
    private static function split(Table $table): array
    {
        $at = array_search('To buy', $table->columns, true);
        $isLacking = fn (array $row): bool => $at === false || $row[$at] !== '0';

        $rows = array_map(fn (array $row) => array_map(strval(...), $row), $table->rows);

        return [
            'rows' => array_values(array_filter($rows, $isLacking)),
            'rest' => array_values(array_filter($rows, fn (array $row): bool => ! $isLacking($row))),
        ];
    }
}
