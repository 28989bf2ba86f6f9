<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Checks\Hear\OwnReturn;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\HeardPair;

/** What callers, teams and parties get back, and what is left out of it: each their own mix, without their own voice. */
final readonly class ReturnsPage
{
    /** @var list<array{listener: Listener, cells: array<array-key, array{pair: HeardPair, isOwn: bool, isBack: bool}>, isRight: bool}> */
    public array $rows;

    /** @var list<array{name: string, where: string, levels: array<array-key, float>}> what calls on computers send, dB by source */
    public array $calls;

    /** @var list<Source> sounds that any of them gets, or that begin at one of them */
    public array $sources;

    public function __construct(private RigPage $page)
    {
        $rows = $used = [];
        foreach ($page->rig->listeners as $listener) {
            if (in_array($listener->kind, [ListenerKind::Caller, ListenerKind::Team, ListenerKind::Party], true)) {
                $rows[] = $this->row($listener);
            }
        }
        $this->calls = $this->calls();
        foreach ($rows as $row) {
            foreach ($row['cells'] as $source => $cell) {
                $used += $cell['isOwn'] || $cell['pair']->isHeard() || $cell['pair']->wish !== null ? [$source => true] : [];
            }
        }
        foreach ($this->calls as $call) {
            $used += array_fill_keys(array_keys($call['levels']), true);
        }
        $this->rows = $rows;
        $this->sources = array_values(array_intersect_key($page->rig->sources, $used));
    }

    /** @return array{listener: Listener, cells: array<array-key, array{pair: HeardPair, isOwn: bool, isBack: bool}>, isRight: bool} */
    private function row(Listener $listener): array
    {
        $cells = [];
        $isRight = true;
        foreach ($this->page->rig->sources as $source) {
            $pair = $this->page->hearing->pair($source->id, $listener->id);
            $isOwn = $this->isOwn($source, $listener);
            $isBack = $isOwn && OwnReturn::ownReturn($this->page->hearing->graph(), $pair) !== null;
            $cells[$source->id] = ['pair' => $pair, 'isOwn' => $isOwn, 'isBack' => $isBack];
            $isRight = $isRight && ! $isBack && ! $pair->verdict->isAtOdds();
        }

        return ['listener' => $listener, 'cells' => $cells, 'isRight' => $isRight];
    }

    private function isOwn(Source $source, Listener $listener): bool
    {
        foreach (OwnReturn::isVoice($source) ? $source->origins : [] as $origin) {
            foreach ($listener->at as $ear) {
                if (OwnReturn::isOwn($this->page->hearing->graph(), $origin->at, $ear)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<array{name: string, where: string, levels: array<array-key, float>}> */
    private function calls(): array
    {
        $field = $this->page->hearing->field();
        $calls = [];
        foreach ($this->page->rig->units as $unit) {
            $model = $this->page->rig->modelOf($unit);
            foreach ($model->family === Family::Call ? $model->points : [] as $point) {
                if ($point->kind === PointKind::In && $point->picks !== null) {
                    $calls[] = [
                        'name' => "{$unit->name} · {$point->label}",
                        'where' => $this->page->rig->places[$unit->place]->name,
                        'levels' => $field->levelsAt(new PointRef($unit->id, $point->id)),
                    ];
                }
            }
        }

        return $calls;
    }
}
