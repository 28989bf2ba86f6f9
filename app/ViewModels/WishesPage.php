<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\OwnSlot;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Blast;
use HiddenWire\Core\Signal\HeardPair;

/** What surrounds the hearing table: what is not as wished, the chosen pair's ways, and what sounds and listeners can be added. */
final readonly class WishesPage
{
    /** Units up to which a slot of its own is looked for. */
    private const UNITS = 150;

    /** Most cells that are also listed by listener. */
    private const SHORT = 400;

    /** @var list<HeardPair> what the audience would notice first in front */
    public array $odds;

    public ?WayStrip $strip;

    /** A slot of its own for the chosen pair's sound; null where it shares none, or the rig is too large to try while somebody waits. */
    public ?OwnSlot $ownSlot;

    public Balances $balances;

    /** @var list<array{listener: string, words: string}> sounds that would blast, the worst first */
    public array $blasts;

    /** @var array<string, string> names of points where a sound can begin, by reference */
    public array $origins;

    /** @var array<string, string> names of points where somebody can listen, by reference */
    public array $ears;

    public function __construct(private RigPage $page)
    {
        $this->odds = $page->atOdds();
        $this->strip = $page->strip();
        $own = $page->pair === null || ! $page->canEdit || count($page->rig->units) > self::UNITS ? null
            : new OwnSlot(
                new Hearings($page->rig, [$page->situation->id => $page->hearing]),
                $page->pair->source->id,
                $page->pair->listener->id,
            );
        $this->ownSlot = $own?->shared === null ? null : $own;
        $this->balances = new Balances($page);
        $this->blasts = array_map(
            fn (Blast $one) => ['listener' => $one->pair->listener->name, 'words' => $one->words()],
            Blast::all($page->hearing),
        );
        $this->origins = $page->canEdit ? $this->pointsOf(PointKind::Origin) : [];
        $this->ears = $page->canEdit ? $this->pointsOf(PointKind::Ear) : [];
    }

    /** @return array<string, string> sounds that most rigs have, by name, with their kind; those that this one has no sound of yet */
    public function commonSounds(): array
    {
        $kinds = array_map(fn (Source $source) => $source->kind->value, array_values($this->page->rig->sources));

        return array_filter(
            [
                'Voice' => 'voice',
                'Game' => 'game',
                'Music' => 'music',
                'Alerts' => 'alerts',
                'Caller' => 'caller',
                'Console' => 'console',
                'Browser' => 'browser',
            ],
            fn (string $kind) => ! in_array($kind, $kinds, true),
        );
    }

    /** @return array<string, string> listeners that most rigs have, by name, with their kind; those that this one has none of yet */
    public function commonListeners(): array
    {
        $kinds = array_map(fn (Listener $listener) => $listener->kind->value, array_values($this->page->rig->listeners));

        return array_filter(
            ['Me' => 'headphones', 'Room' => 'speakers', 'Viewers' => 'stream', 'Track' => 'track', 'Caller' => 'caller', 'Team' => 'team'],
            fn (string $kind) => ! in_array($kind, $kinds, true),
        );
    }

    public function nameOf(PointRef $at): string
    {
        return "{$this->page->rig->units[$at->unit]->name}: {$this->page->rig->point($at)->label}";
    }

    /** Whether the table has few enough cells to be listed by listener. */
    public function isShort(): bool
    {
        $cells = count($this->page->rig->sources) * count($this->page->rig->listeners);

        return $cells > 0 && $cells <= self::SHORT;
    }

    public function byListener(): ByListener
    {
        return new ByListener($this->page);
    }

    /** @return array<string, string> what the points of a kind are called, by reference */
    private function pointsOf(PointKind $kind): array
    {
        $points = [];
        foreach ($this->page->rig->units as $unit) {
            foreach ($this->page->rig->modelOf($unit)->points as $point) {
                if ($point->kind === $kind) {
                    $points["{$unit->id}/{$point->id}"] = "{$unit->name}: {$point->label}";
                }
            }
        }

        return $points;
    }
}
