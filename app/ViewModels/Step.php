<?php

declare(strict_types=1);

namespace App\ViewModels;

/** The views of a rig, in the order of the work; the value is the view's address. */
enum Step: string
{
    case Wishes = 'wishes';
    case Stock = 'stock';
    case Wiring = 'wiring';
    case Computers = 'computers';
    case Recipes = 'recipes';
    case Names = 'names';
    case Tracks = 'tracks';
    case Levels = 'levels';
    case Checks = 'checks';
    case Returns = 'returns';
    case Dependence = 'dependence';
    case Situations = 'situations';
    case Doubts = 'doubts';
    case Cables = 'cables';
    case Cards = 'cards';
    case Book = 'book';
    case People = 'people';
    case History = 'history';

    /** Those of the rail, each with the key of its number. */
    public const RAIL = [self::Wishes, self::Stock, self::Wiring, self::Computers, self::Recipes, self::Tracks, self::Levels, self::Checks];

    public function label(): string
    {
        return match ($this) {
            self::Cables => 'Cable table',
            self::Returns => 'Own returns',
            default => ucfirst($this->value),
        };
    }
}
