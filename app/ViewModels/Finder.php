<?php

declare(strict_types=1);

namespace App\ViewModels;

/** What of a rig answers to a few letters: units, sockets, cables by label, devices by name, sounds, listeners, views and actions. */
final readonly class Finder
{
    private const MOST = 30;

    /** @var list<array{what: string, kind: string, url: string}> */
    public array $found;

    public function __construct(private RigPage $page, public string $text)
    {
        $this->found = $this->find($text);
    }

    /**
     * Every word has to be in it, typing mistakes and all; fewest mistakes first, then what begins with the text,
     * then what has the words in its own name.
     *
     * @return list<array{what: string, kind: string, url: string}>
     */
    private function find(string $text): array
    {
        $words = Likeness::words($text);
        $ranked = [];
        foreach ($this->everything() as $i => $one) {
            $in = mb_strtolower("{$one['what']} {$one['kind']} {$one['also']}");
            $name = mb_strtolower($one['what']);
            [$mistakes, $elsewhere] = [0, 0];
            foreach ($words as $word) {
                $of = Likeness::mistakes($word, $in);
                if ($of === null) {
                    continue 2;
                }
                $mistakes += $of;
                $elsewhere += Likeness::mistakes($word, $name) === $of ? 0 : 1;
            }
            $begins = $words !== [] && str_starts_with($name, implode(' ', $words)) ? 0 : 1;
            $ranked[] = [$mistakes, $begins, $elsewhere, $i, ['what' => $one['what'], 'kind' => $one['kind'], 'url' => $one['url']]];
        }
        sort($ranked);

        return array_slice(array_map(fn (array $one) => $one[4], $ranked), 0, self::MOST);
    }

    /** @return list<array{what: string, kind: string, also: string, url: string}> */
    private function everything(): array
    {
        $rig = $this->page->rig;
        $all = [];
        $add = function (string $what, string $kind, string $url, string $also = '') use (&$all): void {
            $all[] = ['what' => $what, 'kind' => $kind, 'also' => $also, 'url' => $url];
        };
        foreach ($rig->units as $unit) {
            $add(
                $unit->name,
                $rig->modelOf($unit)->isProgram() ? 'program' : 'unit',
                $this->page->url(['select' => "unit:{$unit->id}"], 'wiring'),
                "{$rig->modelOf($unit)->name} {$unit->serial} {$rig->places[$unit->place]->name}",
            );
        }
        foreach ($rig->cables as $cable) {
            $add(
                $cable->label,
                'cable',
                $this->page->url(['select' => "cable:{$cable->id}"], 'wiring'),
                "{$cable->type->value} {$cable->colour} {$rig->units[$cable->from->unit]->name} {$rig->units[$cable->to->unit]->name}",
            );
        }
        foreach ($this->page->hearing->graph->devices->all() as $computer => $devices) {
            foreach ($devices as $device) {
                $add(
                    $device->name(),
                    "{$device->direction->value} device",
                    $this->page->url(['select' => "unit:{$computer}"], 'computers').'#device-'.$device->ref,
                    "{$device->systemName} {$rig->units[$computer]->name}",
                );
            }
        }
        foreach ($rig->sources as $source) {
            $add($source->name, 'sound', $this->page->url(['pens' => $source->id], 'wiring'), $source->kind->value);
        }
        foreach ($rig->listeners as $listener) {
            $add($listener->name, 'listener', $this->page->url([], 'wishes'), $listener->kind->value);
        }
        foreach (Step::cases() as $step) {
            $add($step->label(), 'view', $this->page->url([], $step->value));
        }
        foreach ([
            'Add equipment' => 'stock',
            'New place' => 'stock',
            'New sound' => 'wishes',
            'New listener' => 'wishes',
            'Renumber the cables' => 'cables',
            'New situation' => 'situations',
            'Invite someone' => 'people',
            'Compare revisions' => 'history',
        ] as $action => $view) {
            $add($action, 'action', $this->page->url([], $view));
        }
        // These press a button of the page.
        foreach (['Undo' => '#undo', 'Redo' => '#redo', 'Keys' => '#keys', 'Light or dark theme' => '#theme'] as $action => $anchor) {
            $add($action, 'action', $anchor);
        }
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->sockets as $socket) {
                $add(
                    "{$socket->label} of {$unit->name}",
                    'socket',
                    $this->page->url(['select' => "unit:{$unit->id}"], 'wiring'),
                    $socket->connector->words(),
                );
            }
        }

        return $all;
    }
}
