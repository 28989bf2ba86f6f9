<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** One kind of card. */
interface CardKind
{
    /** What all cards of the kind are called together. */
    public static function name(): string;

    /** @return array<string, string> titles by key */
    public static function titles(BookInput $of): array;

    /** @param  string  $key  one of those in {@see titles()} */
    public static function card(BookInput $of, string $key): Card;
}
