<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Recording\Storage;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Unit;

/** Broadcast programs and recorders with their tracks, and what the recordings are good for afterwards. */
final readonly class TracksPage
{
    /** Programs and recorders that are shown one below the other; where there are more, one at a time. */
    private const AT_ONCE = 3;

    /** @var list<Unit> what has tracks */
    public array $units;

    /** @var list<Tracks> those that are shown */
    public array $programs;

    /** Null where the rig has no track. */
    public ?Afterwards $afterwards;

    /**
     * Cards of recorders.
     *
     * @var list<array{about: string, name: string, card: float|null, rate: float|null, depth: float|null, hours: string}>
     */
    public array $cards;

    /** How long the base situation lasts, in minutes; null where nobody has said. */
    public ?float $length;

    public function __construct(RigPage $page)
    {
        $this->units = Tracks::units($page);
        $selected = array_values(array_filter($this->units, fn (Unit $unit) => $unit->id === $page->selectedUnit));
        $this->programs = Tracks::of($page, match (true) {
            count($this->units) <= self::AT_ONCE => $this->units,
            $selected !== [] => $selected,
            default => array_slice($this->units, 0, 1),
        });
        $this->afterwards = Afterwards::of($page);
        $field = $page->hearing->field();
        $said = fn (MeasureKind $kind, string $unit): ?float => $page->rig->papers->measured($kind)["units/{$unit}"] ?? null;
        $cards = [];
        foreach ($page->rig->units as $unit) {
            if (! in_array($page->rig->modelOf($unit)->family, [Family::Recorder, Family::Interface, Family::Mixer], true)
                || ! $this->records($page, $unit)) {
                continue;
            }
            $storage = Storage::of($page->rig, $unit, $field);
            $cards[] = [
                'about' => "units/{$unit->id}",
                'name' => $unit->name,
                'card' => $said(MeasureKind::Card, $unit->id),
                'rate' => $said(MeasureKind::Rate, $unit->id),
                'depth' => $said(MeasureKind::Depth, $unit->id),
                'hours' => $storage === null ? '' : number_format($storage->hours(), 1).' h for '.Count::of($storage->channels, 'channel'),
            ];
        }
        $this->cards = $cards;
        $this->length = $page->rig->papers->measured(MeasureKind::Length)["situations/{$page->rig->base()->id}"] ?? null;
    }

    /** Whether a unit has tracks that somebody listens to afterwards. */
    private function records(RigPage $page, Unit $unit): bool
    {
        foreach ($page->rig->listeners as $listener) {
            foreach ($listener->kind === ListenerKind::Track ? $listener->at : [] as $at) {
                if ($at->unit === $unit->id) {
                    return true;
                }
            }
        }

        return false;
    }
}
