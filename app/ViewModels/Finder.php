<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Words\AlsoCalled;
use App\Words\WordSearch;
use HiddenWire\Core\Book\Cards\Cabling;
use HiddenWire\Core\Rig\Hands;

/**
 * What of a rig answers to a few letters: units, sockets, cables by label, devices by name, sounds, listeners, views and actions.
 */
final readonly class Finder
{
    private const MOST = 30;

    /** @var list<array{what: string, kind: string, url: string}> */
    public array $found;

    /** @var list<array{what: string, kind: string, url: string}> the way to look in all rigs, where something is looked for */
    public array $elsewhere;

    public function __construct(private RigPage $page, public string $text)
    {
        $this->found = $this->find($text);
        $this->elsewhere = trim($text) === '' ? []
            : [['what' => "“{$text}” in all rigs", 'kind' => 'find', 'url' => route('find-all', ['q' => $text], false)]];
    }

    /**
     * Every word has to be in it, or in what it is also called; the best first.
     *
     * @return list<array{what: string, kind: string, url: string}>
     */
    private function find(string $text): array
    {
        $search = new WordSearch($text);
        $ranked = $near = [];
        foreach ($this->everything() as $i => $one) {
            $shown = ['what' => $one['what'], 'kind' => $one['kind'], 'url' => $one['url']];
            $rank = $search->isEmpty() ? 0 : $search->rank($one['what'], $one['also'], "{$one['about']} {$one['kind']}");
            if ($rank !== null) {
                $ranked[] = [$rank, $i, $shown];
            } elseif ($search->count($one['what'], $one['also']) > 0) {
                $near[] = [-$search->count($one['what'], $one['also']), $i, $shown];
            }
        }
        $found = $ranked === [] ? $near : $ranked;
        sort($found);

        return array_slice(array_map(fn (array $one) => $one[2], $found), 0, self::MOST);
    }

    /** @return list<array{what: string, kind: string, also: list<string>, about: string, url: string}> */
    private function everything(): array
    {
        $rig = $this->page->rig;
        /** @var list<array{what: string, kind: string, also: list<string>, about: string, url: string}> $all */
        $all = [];
        $add = function (string $what, string $kind, string $url, array $also = [], string $about = '') use (&$all): void {
            $also = array_values(array_map(strval(...), $also));
            $all[] = ['what' => $what, 'kind' => $kind, 'also' => $also, 'about' => $about, 'url' => $url];
        };
        foreach (Step::cases() as $step) {
            $add($step->label(), 'view', $this->page->url([], $step->value), AlsoCalled::view($step->value));
        }
        $add('Grounds', 'view', $this->page->url(['layer' => 'ground'], 'wiring'), AlsoCalled::view('grounds'));
        $add('Find a fault', 'view', $this->page->url([], 'faults'), AlsoCalled::view('faults'));
        $add('Tone test', 'view', $this->page->url([], 'tones'), AlsoCalled::view('tones'));
        foreach ($this->actions() as $action => $url) {
            $add($action, 'action', $url, AlsoCalled::action($action));
        }
        foreach ($rig->situations as $situation) {
            $view = $this->page->view === 'find' ? 'wishes' : null;
            $add($situation->name, 'situation', $this->page->url(['situation' => $situation->id], $view));
        }
        foreach ($rig->units as $unit) {
            $model = $rig->modelOf($unit);
            $add(
                $unit->name,
                $model->isProgram() ? 'program' : 'unit',
                $this->page->url(['select' => "unit:{$unit->id}"], 'wiring'),
                [$model->name, ...AlsoCalled::model($model)],
                "{$unit->serial} {$rig->places[$unit->place]->name}",
            );
        }
        foreach ($rig->cables as $cable) {
            $add(
                $cable->label,
                'cable',
                $this->page->url(['select' => "cable:{$cable->id}"], 'wiring'),
                [str_replace('-', '', $cable->label), ltrim((string) preg_replace('/\D+/', '', $cable->label), '0')],
                "{$cable->type->words()} {$cable->colour} {$rig->units[$cable->from->unit]->name} {$rig->units[$cable->to->unit]->name}",
            );
        }
        foreach ($this->page->hearing->graph()->devices->all() as $computer => $devices) {
            foreach ($devices as $device) {
                $add(
                    $device->name(),
                    "{$device->direction->value} device",
                    $this->page->url(['select' => "unit:{$computer}"], 'computers').'#'.Computer::anchor($device),
                    [$device->systemName],
                    $rig->units[$computer]->name,
                );
            }
        }
        foreach ($rig->sources as $source) {
            $add($source->name, 'sound', $this->page->url(['pens' => $source->id], 'wiring'), [$source->kind->value]);
        }
        foreach ($rig->listeners as $listener) {
            $add($listener->name, 'listener', $this->page->url([], 'wishes'), [$listener->kind->value]);
        }
        foreach (Hands::of($rig) as $control) {
            $url = $this->page->url(['control' => $control->id], 'controls');
            $add($control->words(), 'control', $url, [$control->legend, $control->kind->words()]);
        }
        foreach ($rig->places as $place) {
            $add($place->name, 'place', $this->page->url([], 'stock')."#place-{$place->id}", [$place->kind->value]);
        }
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->sockets as $socket) {
                $add(
                    "{$socket->label} of {$unit->name}",
                    'socket',
                    $this->page->url(['select' => "unit:{$unit->id}"], 'wiring'),
                    [],
                    $socket->connector->words(),
                );
            }
        }

        return $all;
    }

    /** @return array<string, string> where what can be done is done, by its name; one with # presses a button of the page */
    private function actions(): array
    {
        $views = [
            'Add equipment' => 'stock', 'New place' => 'stock', 'New cable' => 'wiring',
            'New sound' => 'wishes', 'New listener' => 'wishes', 'New situation' => 'situations', 'New control' => 'controls',
            'Renumber the cables' => 'cables', 'Import cables' => 'import-cables', 'Import sounds and wishes' => 'import-wishes',
            'Invite someone' => 'people', 'Share a link' => 'people', 'Compare revisions' => 'history', 'Print the book' => 'book',
        ];

        return [
            ...array_map(fn (string $view) => $this->page->url([], $view), $views),
            ...$this->page->rig->cables === [] ? []
                : ['Tick the cabling' => route('rigs.card', [$this->page->record->id, Cabling::KEY], false)],
            'Undo' => '#undo', 'Redo' => '#redo', 'Keys' => '#keys', 'Light or dark theme' => '#theme',
        ];
    }
}
