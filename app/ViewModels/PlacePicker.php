<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Progress\NextKind;
use HiddenWire\Core\Rig\Rig;

/** The places at which a sound can begin, or somebody can listen, as a form offers them; and the service that a caller may lack. */
final readonly class PlacePicker
{
    public bool $isSound;

    public string $name;

    /** @var array<string, string> names of places by reference, those that fit first */
    public array $places;

    public bool $lacksService;

    public function __construct(Rig $rig, NextKind $kind, public string $id)
    {
        $this->isSound = $kind === NextKind::Starts;
        $one = $this->isSound ? $rig->sources[$id] : $rig->listeners[$id];
        $this->name = $one->name;
        $this->places = $this->isSound ? Places::starts($rig, $rig->sources[$id]) : Places::ears($rig, $rig->listeners[$id]);
        $this->lacksService = Places::lacksService($rig, $one);
    }

    /** What a cause without a cure is about that is nowhere yet: first the sound, then the listener; null where both have a place. */
    public static function ofCause(Rig $rig, Cause $cause): ?self
    {
        $cell = $cause->cures === [] ? $cause->cells[0] ?? null : null;

        return match (true) {
            $cell === null => null,
            $rig->sources[$cell->source]->origins === [] => new self($rig, NextKind::Starts, $cell->source),
            $rig->listeners[$cell->listener]->at === [] => new self($rig, NextKind::Listens, $cell->listener),
            default => null,
        };
    }

    /** "starts at" */
    public function verb(): string
    {
        return $this->isSound ? 'starts' : 'listens';
    }

    /** @return array<string, string> fields of the form that takes a place */
    public function fields(): array
    {
        return $this->isSound
            ? ['edit' => 'place-sound', 'source' => $this->id, 'situation' => '']
            : ['edit' => 'place-listener', 'listener' => $this->id, 'situation' => ''];
    }

    /** @return array<string, string> fields of the form that brings a service */
    public function serviceFields(): array
    {
        return ['edit' => 'bring-service', $this->isSound ? 'source' : 'listener' => $this->id, 'situation' => ''];
    }
}
