<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Controls\SeenMoved;
use HiddenWire\Core\Controls\SeenVerdict;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Source;

/** The chosen control as it is tried on the real thing: what was seen, what that says of the plan, and what can be done about it. */
final readonly class SeenHand
{
    /** What the address says of a sound that changed. */
    private const SEEN = 'seen-';

    /** Whether anything was said. */
    public bool $isSaid;

    private SeenMoved $moved;

    private ControlNames $names;

    public function __construct(private RigPage $page, ControlsPage $controls, private Control $control)
    {
        $this->isSaid = $page->asked('tried') === '1';
        $sounds = array_map(fn (Source $one) => $one->id, $page->rig->sources);
        $this->moved = new SeenMoved(
            new Hearings($page->rig, [$page->situation->id => $page->hearing]),
            $controls->reach,
            $control,
            $page->situation->id,
            array_values(array_filter($sounds, fn (string $id) => $page->asked(self::SEEN.$id) === '1')),
        );
        $this->names = new ControlNames($page->rig);
    }

    /** @return list<array{name: string, field: string, isSeen: bool}> sounds that can be said to change */
    public function sounds(): array
    {
        return array_values(array_map(fn (Source $one): array => [
            'name' => $one->name, 'field' => self::SEEN.$one->id, 'isSeen' => isset($this->moved->seen[$one->id]),
        ], $this->page->rig->sources));
    }

    public function isAsPlanned(): bool
    {
        return $this->moved->verdict() === SeenVerdict::AsPlanned;
    }

    /** "Dead: nothing changes. The plan has it move Music." */
    public function says(): string
    {
        $planned = $this->moved->planned === [] ? 'nothing' : self::named($this->moved->planned);
        $seen = self::named($this->moved->seen);
        $besides = self::named(array_diff_key($this->moved->seen, $this->moved->planned));
        $missing = self::named(array_diff_key($this->moved->planned, $this->moved->seen));
        // What the others move is heard only where that is asked.
        $doubled = $this->isAsPlanned() ? [] : $this->moved->doubled();

        return match ($this->moved->verdict()) {
            SeenVerdict::AsPlanned => "As planned: it moves {$planned}.",
            SeenVerdict::Dead => "Dead: nothing changes. The plan has it move {$planned}.",
            SeenVerdict::Else => "It moves something else: {$seen}, where the plan says {$planned}.",
            SeenVerdict::More => "It also moves {$besides}.",
            SeenVerdict::Less => "It does not move {$missing}".($besides === '' ? '.' : ", and moves {$besides}."),
        }.($doubled === [] ? '' : ' Doubled: '
            .Listing::of(array_map(fn (Control $one) => $one->words(), $doubled)).' is planned to move just that.');
    }

    /** @return array<string, string> what to do about it, in words, by what the form then says */
    public function cures(): array
    {
        $cures = [];
        foreach ($this->isAsPlanned() ? [] : $this->moved->instead() as $move) {
            $cures[$move->slot()] = "Let it move {$this->names->target($move)}";
        }
        if ($this->moved->verdict() === SeenVerdict::Dead) {
            $cures['nothing'] = 'Let it move nothing';
        }

        return $this->isAsPlanned() ? ['as-planned' => 'Seen on the real one'] : $cures;
    }

    /** The next one that somebody has entered and nobody has tried; null where there is none. */
    public function next(): ?Control
    {
        $left = array_filter($this->page->rig->controls, fn (Control $one) => ! $one->isLearned && $one->id !== $this->control->id);
        $ids = array_keys($this->page->rig->controls);
        $at = array_search($this->control->id, $ids, true);
        // From here on, then from the beginning.
        uksort($left, fn (string $a, string $b) => [array_search($a, $ids, true) < $at, array_search($a, $ids, true)]
            <=> [array_search($b, $ids, true) < $at, array_search($b, $ids, true)]);

        return array_values($left)[0] ?? null;
    }

    /** @param  array<string, Source>  $sources */
    private static function named(array $sources): string
    {
        return Listing::of(array_map(fn (Source $one) => $one->name, $sources));
    }
}
