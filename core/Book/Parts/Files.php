<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;

/** What is on which track afterwards, situation by situation: which sounds are alone there, and where each is found best. */
final class Files implements Part
{
    public function key(): string
    {
        return 'files';
    }

    public function title(): string
    {
        return 'Recordings afterwards';
    }

    public function blocks(Source $of): array
    {
        $tracks = array_filter($of->rig->listeners, fn (Listener $one) => $one->kind === ListenerKind::Track);
        $rows = [];
        foreach ($tracks as $track) {
            $units = array_unique(array_map(fn ($ear) => $of->rig->units[$ear->unit]->name, $track->at));
            foreach ($of->rig->situations as $situation) {
                $sounds = $this->soundsOn($of, $track, $situation->id);
                $rows[] = [
                    $track->name, implode(', ', $units) ?: 'nowhere yet', $situation->name, implode(', ', $sounds) ?: 'silence',
                    match (count($sounds)) {
                        0 => '', 1 => 'yes', default => 'no: can\'t be parted later',
                    },
                ];
            }
        }
        $best = [];
        foreach ($of->rig->sources as $sound) {
            $on = array_filter(
                $tracks,
                fn (Listener $track) => in_array($sound->name, $this->soundsOn($of, $track, $of->rig->base()->id), true),
            );
            usort($on, fn (Listener $a, Listener $b) => count($this->soundsOn($of, $a, $of->rig->base()->id))
                <=> count($this->soundsOn($of, $b, $of->rig->base()->id)));
            $with = $on === [] ? [] : array_diff($this->soundsOn($of, $on[0], $of->rig->base()->id), [$sound->name]);
            $best[] = [$sound->name, $on === [] ? 'on no track' : $on[0]->name, implode(', ', $with)];
        }

        return $rows === [] ? [] : [
            new Table(['Track', 'Recorded by', 'Situation', 'Sounds on it', 'Alone'], $rows, [1, 1.3, 1, 2.4, 1.1]),
            new Table(["Sound, in {$of->rig->base()->name}", 'Best found on', 'Together with'], $best, [1.2, 1.2, 2.6]),
        ];
    }

    /** @return list<string> names */
    private function soundsOn(Source $of, Listener $track, string $situation): array
    {
        $names = [];
        foreach ($of->rig->sources as $sound) {
            if ($of->hearing($situation)->pair($sound->id, $track->id)->isHeard()) {
                $names[] = $sound->name;
            }
        }

        return $names;
    }
}
