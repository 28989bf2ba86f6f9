<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Progress\AtStop;
use HiddenWire\Core\Progress\NextKind;
use HiddenWire\Core\Progress\NextStep;
use HiddenWire\Core\Progress\Progress;
use HiddenWire\Core\Progress\Stop;
use HiddenWire\Core\Rig\Unit;

/** The eight stops of a rig with how far it is at each, the tabs of the one that is shown, and the next step. */
final readonly class Rail
{
    /** @var list<array{at: AtStop, label: string, url: string, isHere: bool}> */
    public array $stops;

    /** @var list<Tab> of the stop that is shown */
    public array $tabs;

    public NextStep $next;

    /** Where the next step is done: the address of a view. */
    public string $nextUrl;

    /** @var array{starts: array<string, string>, listens: array<string, string>} where what is nowhere likely is, where that comes next */
    public array $likely;

    public function __construct(private RigPage $page)
    {
        $progress = new Progress($page->rig, $page->hearing, $page->causes === null ? null : $page->openCauses(), $page->causes === null
            ? null : $page->openFindings());
        $here = Step::tryFrom($page->view)?->stop();
        $this->stops = array_map(fn (AtStop $at) => [
            'at' => $at,
            'label' => ucfirst($at->stop->value),
            'url' => $page->url(['layer' => null], Step::of($at->stop)[0]->value),
            'isHere' => $at->stop === $here,
        ], array_values($progress->stops));
        $this->tabs = $here === null ? [] : $this->tabs($here);
        $this->next = $progress->next;
        $this->nextUrl = $this->whereToGo($progress->next);
        $isNowhere = in_array($this->next->kind, [NextKind::Starts, NextKind::Listens], true);
        $this->likely = [
            'starts' => $isNowhere ? Places::likelyStarts($page->rig) : [],
            'listens' => $isNowhere ? Places::likelyEars($page->rig) : [],
        ];
    }

    /** @return list<Tab> */
    private function tabs(Stop $stop): array
    {
        $tabs = [];
        $isGround = $this->page->grounds !== null;
        foreach (Step::of($stop) as $step) {
            $tabs[] = new Tab(
                $step->label(),
                $this->page->url(['layer' => null], $step->value),
                $this->page->view === $step->value && ! $isGround,
                $this->isQuiet($step),
            );
        }
        if ($stop === Stop::Wiring) {
            $tabs[] = new Tab('Grounds', $this->page->url(['layer' => 'ground'], 'wiring'), $isGround, $this->page->rig->cables === []);
        }
        if ($stop === Stop::Equipment) {
            array_splice($tabs, 1, 0, [new Tab('Catalogue', route('catalogue', ['rig' => $this->page->record->id]), false)]);
        }

        return $tabs;
    }

    /** Whether the rig has nothing for a view: no computer, no track, nobody who gets anything back. */
    private function isQuiet(Step $step): bool
    {
        $rig = $this->page->rig;
        $hasUnit = fn (callable $is): bool => array_filter($rig->units, fn (Unit $unit) => $is($rig->modelOf($unit)->family)) !== [];

        return match ($step) {
            Step::Computers, Step::Names => ! $hasUnit(fn (Family $family) => $family->isHost()),
            Step::Tracks => ! $hasUnit(fn (Family $family) => in_array($family, [Family::Broadcast, Family::Recorder], true)),
            Step::Cables, Step::Shopping => $rig->cables === [] && $rig->units === [],
            default => false,
        };
    }

    private function whereToGo(NextStep $next): string
    {
        return match ($next->kind) {
            NextKind::Sounds, NextKind::Wishes => $this->page->url([], 'wishes'),
            NextKind::Starts, NextKind::Listens => $this->page->url(['ends' => '1'], 'wishes').'#ends',
            NextKind::Equipment => $this->page->url([], 'stock').'#add-list-title',
            NextKind::Joins => $this->page->url(['layer' => null], 'wiring'),
            NextKind::Looking, NextKind::Cure, NextKind::Cures, NextKind::Uncured => $this->page->url([], 'wishes'),
            NextKind::Fault => $this->page->url([], 'checks').'#finding-'.$this->page->openFindings()[(int) $next->about]->evidence(),
            NextKind::Assumptions => $this->page->url([], 'doubts'),
            NextKind::Ready => $this->page->url([], 'book'),
        };
    }

    /** All places that are likely, to be taken at once; null where there are not several. */
    public function suggested(): ?Suggested
    {
        $count = count($this->likely['starts']) + count($this->likely['listens']);

        return $count > 1 ? new Suggested($this->page->rig, $this->likely) : null;
    }

    /** The places of what the next step is about, where that is a sound or a listener that is nowhere. */
    public function picker(): PlacePicker
    {
        return new PlacePicker($this->page->rig, $this->next->kind, $this->next->about);
    }
}
