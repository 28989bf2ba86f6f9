<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Jobs\HearOn;
use App\Models\MemberRole;
use App\Models\Rig as Record;
use App\Models\User;
use App\Rigs\Causes;
use App\Rigs\FoundCauses;
use App\Rigs\Heard;
use App\Rigs\StoredRig;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Dependence\Outage;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SituationDifference;
use HiddenWire\Core\Signal\Verdict;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;

/**
 * What every view of a rig shows: the rig, the situation, the answer, and what is chosen, all of it from the address. Whatever an address
 * names that the rig does not have (any more) is passed over.
 */
final readonly class RigPage
{
    public CoreRig $rig;

    public Names $names;

    public Situation $situation;

    public Hearing $hearing;

    public MapDepth $depth;

    /** What an address that says none comes to: the depth that was looked at last. */
    private MapDepth $usualDepth;

    /** @var array<value-of<Pen>, string> source by pen */
    public array $pens;

    public ?HeardPair $pair;

    public ?string $selectedUnit;

    public ?string $selectedCable;

    /** The socket that a cable is to be plugged into. */
    public ?SocketRef $selectedSocket;

    /** Whether a cable is being drawn from that socket: it lights up what fits, and opens no sheet. */
    private bool $isDrawing;

    /** The socket that it is tried against. */
    public ?SocketRef $withSocket;

    /** What the selected socket can be joined with. */
    public ?Joins $joins;

    /** What changes from the situation that is compared with to the one that is shown. */
    public ?SituationDifference $difference;

    /** The causes of what is not as wished, where they have been looked for. */
    public ?FoundCauses $causes;

    /** The grounds, where the map is asked to show them. */
    public ?GroundLayer $grounds;

    /** What is dark on the map when that fails which is selected, where it is asked to show that. */
    public ?Outage $outage;

    /** A finding whose evidence is lit on the map. */
    public ?Finding $finding;

    /** A cure as it would be. */
    public ?Preview $preview;

    /** Whether what the pair's ways do not pass is faded. */
    public bool $focus;

    /** Where a new wish holds: in all situations, or only in the one that is shown. */
    public WishScope $scope;

    /** What a click on a cell wishes; null where it chooses the cell. */
    public ?Brush $brush;

    /** Who looks. */
    public ?User $user;

    /** In what whoever looks reads and writes lengths. */
    public Lengths $lengths;

    /** Whether whoever looks may change it. */
    public bool $canEdit;

    /** @var array<string, string> what the address asks for, unchanged */
    private array $query;

    private Addresses $addresses;

    public function __construct(public Record $record, public string $view, Request $request)
    {
        $this->query = array_filter($request->query(), is_string(...));
        $this->addresses = new Addresses($record->id);
        $user = $this->user = $request->user();
        $this->lengths = $user->lengths ?? Lengths::Metric;
        $this->canEdit = $user !== null && $record->allows($user, MemberRole::Edit);
        $this->rig = StoredRig::load($record);
        $this->names = new Names($this->rig);
        $asked = $this->asked(...);
        $situation = $this->rig->situation($asked('situation') === '' ? null : $asked('situation')) ?? $this->rig->situation();
        assert($situation !== null, 'A rig has a base situation');
        $this->situation = $situation;
        $this->scope = WishScope::tryFrom($asked('scope')) ?? ($this->rig->isBase($situation->id) ? WishScope::All : WishScope::Here);
        $this->brush = $this->canEdit && $view === 'wishes' ? Brush::tryFrom($asked('brush')) : null;
        $this->hearing = Heard::in($this->rig, $situation, $record);
        Heard::note($record, $situation, $this->hearing);
        $this->causes = $this->look($record);
        $this->finding = $this->causes?->finding($asked('finding'));
        $cure = $this->causes?->cure($asked('try'));
        $this->preview = $cure === null ? null : new Preview($asked('try'), $cure, $this->rig, $this->situation, $this->hearing);
        $against = $asked('against') === '' ? null : $this->rig->situation($asked('against'));
        $this->difference = $against === null || $against === $situation
            ? null
            : new SituationDifference(Heard::in($this->rig, $against, $record), $this->hearing);
        $this->usualDepth = MapDepth::lookedAt($request, $record->id);
        $this->depth = MapDepth::tryFrom($asked('depth')) ?? $this->usualDepth;

        $pens = [];
        $free = array_map(fn (Pen $pen) => $pen->value, Pen::cases());
        foreach (array_unique(explode(',', $asked('pens'))) as $source) {
            if (isset($this->rig->sources[$source]) && $free !== []) {
                $pens[array_shift($free)] = $source;
            }
        }
        [$source, $listener] = [...explode(':', $asked('pair')), ''];
        $this->pair = isset($this->rig->sources[$source], $this->rig->listeners[$listener])
            ? $this->hearing->pair($source, $listener)
            : null;
        if ($this->pair !== null && ! in_array($source, $pens, true) && $free !== []) {
            $pens[array_shift($free)] = $source;
        }
        $this->pens = $pens;
        $this->focus = $asked('focus') === '1' && $this->pair !== null;
        [$kind, $id] = [...explode(':', $asked('select'), 2), ''];
        $this->selectedUnit = $kind === 'unit' && isset($this->rig->units[$id]) ? $id : null;
        $this->selectedCable = $kind === 'cable' && isset($this->rig->cables[$id]) ? $id : null;
        $this->isDrawing = $asked('lit') !== '';
        $socket = $kind === 'socket' ? $id : '';
        $this->selectedSocket = $this->socketNamed($this->isDrawing ? $asked('lit') : $socket);
        $this->withSocket = $this->selectedSocket === null ? null : $this->socketNamed($asked('with'));
        $this->joins = $this->selectedSocket === null ? null : new Joins($this->rig, new Wiring($this->rig), $this->selectedSocket);
        $selected = match (true) {
            $this->selectedUnit !== null => new UnitRef($this->selectedUnit),
            $this->selectedCable !== null => new CableRef($this->selectedCable),
            default => null,
        };
        $this->outage = $view === 'wiring' && $asked('layer') === 'dark' && $selected !== null
            ? new Outage($this->hearing, $selected)
            : null;
        $this->grounds = $view === 'wiring' && $asked('layer') === 'ground' ? new GroundLayer($this) : null;
    }

    /** The situation that a wish made on this page holds in; empty for all. */
    public function scopeSituation(): string
    {
        return $this->scope === WishScope::Here ? $this->situation->id : '';
    }

    /** The stops, the tabs of the one that is shown, and what comes next. */
    public function rail(): Rail
    {
        return new Rail($this);
    }

    /** Of the browser's tab: the view, then the rig. */
    public function title(): string
    {
        return (Step::tryFrom($this->view)?->label() ?? ucfirst($this->view))." · {$this->rig->name}";
    }

    /** Causes that are known, or that are asked for by an address of a page without scripts, or by a preview. */
    private function look(Record $record): ?FoundCauses
    {
        $isAsked = $this->asked('causes') === '1' || $this->asked('try') !== '';

        return $isAsked ? Causes::of($record, $this->rig) : Causes::known($record);
    }

    /** What the address asks for under a key; empty where it asks nothing. */
    public function asked(string $key): string
    {
        return $this->query[$key] ?? '';
    }

    /**
     * The address of a view with what is chosen now, and changes on top; null takes a choice back.
     *
     * @param  array<string, string|null>  $changes  by `situation`, `depth`, `pens`, `pair`, `select`, `focus`, `against`, `scope`, `brush`
     */
    public function url(array $changes = [], ?string $view = null): string
    {
        $choices = [
            'situation' => $this->situation->id,
            'depth' => $this->depth->value,
            'pens' => $this->pens === [] ? null : implode(',', $this->pens),
            'pair' => $this->pair === null ? null : $this->pair->source->id.':'.$this->pair->listener->id,
            'focus' => $this->focus ? '1' : null,
            'scope' => WishScope::tryFrom($this->asked('scope'))?->value,
            'brush' => in_array($view, [null, 'wishes'], true) ? $this->brush?->value : null,
            'layer' => ($view ?? $this->view) === 'wiring' && in_array($this->asked('layer'), ['ground', 'dark'], true)
                ? $this->asked('layer') : null,
            'finding' => in_array($view ?? $this->view, ['wiring', 'checks'], true) ? $this->finding?->evidence() : null,
            'against' => $this->difference?->before->situation->id,
            'select' => match (true) {
                $this->selectedUnit !== null => "unit:{$this->selectedUnit}",
                $this->selectedCable !== null => "cable:{$this->selectedCable}",
                $this->selectedSocket !== null && ! $this->isDrawing => "socket:{$this->selectedSocket}",
                default => null,
            },
        ];

        // What an address does not say is the usual: one state, one address.
        $usual = ['situation' => $this->rig->base()->id, 'depth' => $this->usualDepth->value];
        $said = array_filter(
            [...$choices, ...$changes],
            fn (?string $value, string $key) => $value !== null && $value !== '' && $value !== ($usual[$key] ?? null),
            ARRAY_FILTER_USE_BOTH,
        );

        return $this->addresses->of($view ?? $this->view).($said === [] ? '' : '?'.Arr::query($said));
    }

    /**
     * A change in one field of a form: what it is, the situation in which it holds, and what the page was made from.
     *
     * @param  array<string, mixed>  $fields  an empty situation stands for none
     */
    public function change(array $fields): string
    {
        $all = ['situation' => $this->situation->id, ...$fields];
        if ($all['situation'] === '') {
            unset($all['situation']);
        }

        return http_build_query([...$all, 'revision' => $this->record->revision, 'at_revision' => $this->record->at]);
    }

    /** Where changes are sent. */
    public function editUrl(): string
    {
        return $this->addresses->of('edit');
    }

    /** The address with a pen taken up or put down. */
    public function penUrl(string $source): string
    {
        $pens = in_array($source, $this->pens, true) ? array_diff($this->pens, [$source]) : [...$this->pens, $source];
        $isOfPair = $this->pair?->source->id === $source;

        return $this->url(['pens' => implode(',', $pens), ...($isOfPair ? ['pair' => null, 'focus' => null] : [])]);
    }

    /** @param  list<Source>  $sources */
    public function penAmong(array $sources): ?Pen
    {
        $pens = array_filter(array_map(fn (Source $source) => $this->penOf($source->id), $sources));

        return array_values($pens)[0] ?? null;
    }

    public function penOf(string $source): ?Pen
    {
        $pen = array_search($source, $this->pens, true);

        return $pen === false ? null : Pen::from($pen);
    }

    /** Whether what could not be counted is "asked" for in the background, or "done" there; null where nobody has asked. */
    public function hearingOn(): ?string
    {
        return HearOn::standing($this->record, $this->situation->id);
    }

    /** "Without Desk mixer, 27 of 34 wanted sounds are lost." */
    public function outageSays(Outage $outage): string
    {
        $lost = count($outage->lost);

        return "Without {$this->names->of($outage->at)}, {$lost} of ".Count::of($outage->wanted, 'wanted sound')
            .($lost === 1 ? ' is' : ' are').' lost.';
    }

    /** How many cells could not be counted. */
    public function uncounted(): int
    {
        return $this->hearing->uncounted();
    }

    /** @return list<HeardPair> what is not as wished, what the audience would notice first in front */
    public function atOdds(): array
    {
        $pairs = array_filter(iterator_to_array($this->hearing->all(), false), fn (HeardPair $pair) => $pair->verdict->isAtOdds());
        $weight = fn (HeardPair $pair): int => match ($pair->verdict) {
            Verdict::Loop => 0, Verdict::Leak => 1, Verdict::Missing => 2, Verdict::Doubled => 3, default => 4,
        };
        usort($pairs, fn (HeardPair $a, HeardPair $b) => $weight($a) <=> $weight($b));

        return $pairs;
    }

    /** @return array<int, Cause> by their place among all: those that nobody has accepted */
    public function openCauses(): array
    {
        return array_filter(
            $this->causes->causes ?? [],
            fn (Cause $cause) => $this->rig->papers->acceptanceOf(...$cause->evidences()) === null,
        );
    }

    /** @return array<int, Cause> */
    public function acceptedCauses(): array
    {
        return array_diff_key($this->causes->causes ?? [], $this->openCauses());
    }

    /** @return array<int, Finding> by their place among all: those that nobody has accepted */
    public function openFindings(): array
    {
        return $this->causes?->open($this->rig->papers) ?? [];
    }

    /** "2 faults, 5 risks, 1 new"; empty where nothing is found, null where nobody has looked. */
    public function found(): ?string
    {
        return $this->causes?->words($this->rig->papers);
    }

    /** "3 causes for 10 cells": of what nobody has accepted. */
    public function causesTitle(): string
    {
        $cells = array_unique(array_merge([], ...array_map(
            fn (Cause $cause) => array_map(fn (Cell $cell) => $cell->key(), $cause->cells),
            array_values($this->openCauses()),
        )));

        return Count::of(count($this->openCauses()), 'cause').' for '.Count::of(count($cells), 'cell');
    }

    public function namedSettings(Unit $unit): NamedSettings
    {
        return new NamedSettings($this->hearing->graph(), $unit);
    }

    /** Whether a view says when the real rig was tested. */
    public function isTested(): bool
    {
        return $this->view !== 'bench' && $this->record->isTested();
    }

    /** The state of the situation, in words. Nothing is as wished where nothing is wished. */
    public function standing(): string
    {
        $odds = count($this->atOdds());

        return match (true) {
            $odds > 0 => "{$odds} not as wished",
            $this->rig->sources === [] || $this->rig->listeners === [] => 'no sounds or listeners yet',
            $this->rig->wishes === [] => 'no wishes yet',
            default => 'all as wished',
        };
    }

    /** @return array<value-of<Pen>, list<Arrival>> what each pen marks: the chosen pair's ways, or every way of its source */
    public function highlighted(): array
    {
        $marked = [];
        foreach ($this->pens as $pen => $source) {
            $marked[$pen] = [];
            foreach (array_keys($this->rig->listeners) as $listener) {
                if ($this->pair?->source->id !== $source || $this->pair->listener->id === $listener) {
                    $marked[$pen] = [...$marked[$pen], ...$this->hearing->pair($source, (string) $listener)->arrivals()];
                }
            }
        }

        return $marked;
    }

    /** The address that takes up a socket to plug it, at a depth where the free sockets stand on the map. */
    public function connectUrl(string $socket): string
    {
        return $this->url(
            ['select' => "socket:{$socket}", 'depth' => $this->depth->showsFreeSockets() ? $this->depth->value : MapDepth::Sockets->value],
            'wiring',
        );
    }

    /** Whether anything is selected that has a sheet. */
    public function hasSheet(): bool
    {
        return $this->selectedUnit !== null || $this->selectedCable !== null || ($this->selectedSocket !== null && ! $this->isDrawing);
    }

    private function socketNamed(string $ref): ?SocketRef
    {
        [$unit, $socket] = [...explode('/', $ref, 2), ''];

        return isset($this->rig->units[$unit], $this->rig->modelOf($unit)->sockets[$socket]) ? new SocketRef($unit, $socket) : null;
    }

    public function sheet(): Sheet
    {
        return new Sheet(
            $this->hearing,
            $this->selectedUnit === null ? null : $this->rig->units[$this->selectedUnit],
            $this->selectedCable === null ? null : $this->rig->cables[$this->selectedCable],
            $this->user,
        );
    }

    public function strip(): ?WayStrip
    {
        return $this->pair === null ? null : new WayStrip($this->pair, $this->hearing, $this->causes);
    }
}
