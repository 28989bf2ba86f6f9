<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Planning\Volumes;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;

/** For everybody in the room: the volume knobs that everything passes on its way to them, and which of them to turn. */
final readonly class KnobsInSeries
{
    /** Units up to which they are looked for. */
    private const UNITS = 200;

    /** @var list<array{listener: Listener, volumes: Volumes, canMend: bool}> those with more than one */
    public array $all;

    public function __construct(RigPage $page)
    {
        $isInRoom = fn (Listener $one): bool => in_array($one->kind, [ListenerKind::Headphones, ListenerKind::Speakers], true);
        $listeners = count($page->rig->units) > self::UNITS ? [] : array_filter($page->rig->listeners, $isInRoom);
        $all = [];
        foreach ($listeners as $listener) {
            $volumes = new Volumes($page->hearing, $listener);
            if ($volumes->isInSeries()) {
                $all[] = [
                    'listener' => $listener,
                    'volumes' => $volumes,
                    'canMend' => $page->rig->isBase($page->situation->id) && $volumes->edits() !== null,
                ];
            }
        }
        $this->all = $all;
    }
}
