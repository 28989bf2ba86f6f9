<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Progress\Stop;

/** The views of a rig, in the order of the work; the value is the view's address. Each is a tab of a stop. */
enum Step: string
{
    case Wishes = 'wishes';
    case Returns = 'returns';
    case Stock = 'stock';
    case Shopping = 'shopping';
    case Wiring = 'wiring';
    case Cables = 'cables';
    case Computers = 'computers';
    case Names = 'names';
    case Recipes = 'recipes';
    case Tracks = 'tracks';
    case Levels = 'levels';
    case Controls = 'controls';
    case Checks = 'checks';
    case Dependence = 'dependence';
    case Doubts = 'doubts';
    case Bench = 'bench';
    case Situations = 'situations';
    case Cards = 'cards';
    case ShowPage = 'show';
    case Book = 'book';
    case History = 'history';
    case People = 'people';
    case Downloads = 'downloads';

    public function stop(): Stop
    {
        return match ($this) {
            self::Wishes, self::Returns => Stop::Wishes,
            self::Stock, self::Shopping => Stop::Equipment,
            self::Wiring, self::Cables => Stop::Wiring,
            self::Computers, self::Names => Stop::Computers,
            self::Recipes, self::Tracks, self::Levels, self::Controls => Stop::Mixes,
            self::Checks, self::Dependence, self::Doubts, self::Bench => Stop::Checks,
            self::Situations, self::Cards, self::ShowPage => Stop::Show,
            self::Book, self::History, self::People, self::Downloads => Stop::Book,
        };
    }

    /** What its tab is called, and the finder calls it. */
    public function label(): string
    {
        return match ($this) {
            self::Wishes => 'Who hears what',
            self::Returns => 'Return feeds',
            self::Stock => 'Units',
            self::Shopping => 'Shopping list',
            self::Wiring => 'Map',
            self::Checks => 'Findings',
            self::Dependence => 'What depends on what',
            self::Doubts => 'Assumptions',
            self::Cards => 'Run-down and cards',
            self::ShowPage => 'Show page',
            default => ucfirst($this->value),
        };
    }

    /** @return list<self> the views of a stop, the first of them where it opens */
    public static function of(Stop $stop): array
    {
        return array_values(array_filter(self::cases(), fn (self $step) => $step->stop() === $stop));
    }
}
