<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Rig as Record;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Quantity\Count;

/** A card as a phone shows it. */
final readonly class CardPage
{
    /** @param  array<string, array{on: bool, at: int}>  $ticks  by step */
    public function __construct(public Record $record, public Card $card, private array $ticks)
    {
    }

    public function isOn(CardStep $step): bool
    {
        return $this->ticks[$step->key()]['on'] ?? false;
    }

    /** For the page's script. */
    public function ticksText(): string
    {
        return json_encode((object) $this->ticks, JSON_THROW_ON_ERROR);
    }

    public function tickUrl(): string
    {
        return route('rigs.card.tick', [$this->record->id, $this->card->key]);
    }

    /** How much there is to do: "23 steps, 4 minutes of waiting". */
    public function size(): string
    {
        $waits = (int) ceil($this->card->waitsS() / 60);

        return Count::of(count($this->card->stepKeys()), 'step').($waits === 0 ? '' : ', '.Count::of($waits, 'minute').' of waiting');
    }
}
