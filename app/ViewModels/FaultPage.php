<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Revision;
use App\Rigs\Recovery;
use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Finder\FaultFinder;
use HiddenWire\Core\Finder\FollowSignal;
use HiddenWire\Core\Finder\Interventions;
use HiddenWire\Core\Finder\NextCheck;
use HiddenWire\Core\Finder\SuspectTable;
use HiddenWire\Core\Finder\Suspicion;
use HiddenWire\Core\History\Marks;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Room\Deflection;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\LeadWork;
use HiddenWire\Core\Room\OutlookKind;
use HiddenWire\Core\Room\Presence;
use HiddenWire\Core\Room\SimulatedRoom;
use HiddenWire\Core\Signal\Readings;

/** The search for a fault of the real rig: what is known, what explains it, and what to check next. All of it is in the address. */
final readonly class FaultPage
{
    /** So many suspicions are named. */
    private const NAMED = 8;

    /** So many revisions are offered. */
    private const REVISIONS = 30;

    /** So many of those that ears and meters can't tell apart. */
    private const ALIKE = 3;

    /** Null where there is nothing to explain, or the suspects are not heard yet. */
    public ?FaultFinder $finder;

    public ?NextCheck $next;

    /** A stand-in for the real rig, with an undisclosed fault. */
    public ?SimulatedRoom $room;

    /** @var array<string, string> answers by check */
    public array $known;

    private Rig $rig;

    private ?FollowSignal $followed;

    private ?Interventions $doing;

    /**
     * @param  int  $seed  of the simulated room; 0 for the real one
     * @param  Revision|null  $since  with which all was well
     * @param  bool  $isFollowing  whether the meters on the way of what is missed come first
     */
    public function __construct(
        private RigPage $page,
        private ?SuspectTable $table,
        private FaultAnswers $answers,
        public int $seed,
        public ?Revision $since = null,
        public bool $isFollowing = false,
    ) {
        $this->rig = $page->rig;
        $this->room = $table === null || $seed === 0 ? null : $this->roomOf($table);
        $known = $table === null ? [] : $answers->known($table);
        $this->known = [...($this->room?->complaints() ?? []), ...$known];
        $this->doing = $table === null ? null : new Interventions($this->plan(), $page->situation->id, $table);
        $this->finder = $table === null || $this->known === [] ? null
            : new FaultFinder($table, $this->known, $this->changed(), $this->doing);
        $this->followed = $this->followed();
        $step = $this->isFollowing ? $this->followed?->next($this->known) : null;
        $this->next = $step === null || $this->finder === null ? $this->finder?->next() : $this->finder->reading($step);
    }

    /** The way of the first sound that somebody misses; null where none is missed, or no meter is on its way. */
    private function followed(): ?FollowSignal
    {
        foreach ($this->known as $check => $answer) {
            [$kind, $source, $listener] = explode(' ', $check, 3) + [1 => '', 2 => ''];
            if ($kind === 'hear' && in_array($answer, [Impression::Nothing->value, Impression::Faint->value], true)
                && isset($this->rig->sources[$source], $this->rig->listeners[$listener])) {
                $followed = new FollowSignal($this->page->hearing, $this->page->hearing->pair($source, $listener));
                if ($followed->checks !== []) {
                    return $followed;
                }
            }
        }

        return null;
    }

    /** The other way of looking: along the signal, or whatever tells most; null where there is nothing to follow. */
    public function followUrl(): ?string
    {
        return $this->followed === null ? null : $this->url(null, ! $this->isFollowing);
    }

    /** Between which meters the sound is lost, once that is known; empty before. */
    public function lostBetween(): string
    {
        if (! $this->isFollowing || $this->followed === null || $this->followed->next($this->known) !== null) {
            return '';
        }
        [$good, $bad] = $this->followed->between($this->known);
        $name = function (int $at): string {
            [, $meter] = explode(' ', $this->followed->checks[$at] ?? 'read / x', 3);

            return $this->meter($meter);
        };
        $last = count($this->followed->checks);

        return match (true) {
            $good < 0 && $bad >= $last => '',
            $good < 0 => "It is lost before {$name($bad)}.",
            $bad >= $last => "It is there at {$name($good)}, and lost behind it.",
            default => "It is there at {$name($good)}, and not at {$name($bad)}.",
        };
    }

    /** @return array<string, mixed> what was changed since all was well */
    private function changed(): array
    {
        $before = $this->since === null ? null : Recovery::read($this->since);

        return $before === null ? [] : Marks::between($before, $this->rig);
    }

    /** @return array<int, string> revisions with which all may have been well, the latest first: "12, 3 May, 21:04: Unplugged W-12" */
    public function revisions(): array
    {
        $revisions = [];
        foreach ($this->page->record->revisions()->where('number', '<', $this->page->record->at)->latest('number')
            ->limit(self::REVISIONS)->get(['number', 'what', 'name', 'created_at']) as $one) {
            $called = $one->name !== '' ? $one->name : $one->what;
            $revisions[$one->number] = "{$one->number}, {$one->created_at->format('j F, H:i')}: {$called}";
        }

        return $revisions;
    }

    /** Whether there is something to explain that nobody has listened for yet. */
    public function isWaiting(): bool
    {
        return $this->table === null && ($this->answers->answers !== [] || $this->seed !== 0);
    }

    /** How far that is. */
    public function progressUrl(): string
    {
        return route('rigs.faults.progress', [$this->page->record, 'situation' => $this->page->situation->id], false);
    }

    public function hearUrl(): string
    {
        return route('rigs.faults.hear', [$this->page->record->id, 'situation' => $this->page->situation->id]);
    }

    /**
     * @return list<array{what: string, answer: string, url: string|null}> what is known, with the way back; none from what the listeners of
     *     a simulated room have said
     */
    public function known(): array
    {
        $known = [];
        foreach ($this->known as $check => $answer) {
            $known[] = [
                'what' => $this->what($check),
                'answer' => $this->said($check, $answer),
                'url' => isset($this->answers->answers[$check]) ? $this->url($this->answers->without($check)) : null,
            ];
        }

        return $known;
    }

    /** What to do next: "Listen at Viewers while Game plays". */
    public function task(NextCheck $next): string
    {
        [$kind, $at, $of] = explode(' ', $next->key, 3);

        return match ($kind) {
            'hear' => "Listen at {$this->listener($of)} while {$this->source($at)} sounds",
            'read' => "Read {$this->meter($at)} while {$this->source($of)} sounds",
            'list' => "See whether {$this->device($at, $of)} stands in the list of {$this->unit($at)}",
            'unplug' => "Take {$this->lead($at)} out, and listen to {$this->pairOf($of)}",
            'swap' => "Put another lead in for {$this->lead($at)}, as the plan has it, and listen to {$this->pairOf($of)}",
            default => OutlookKind::from($at)->words($this->unit($of)),
        };
    }

    /** What a meter shows where all is as planned; empty for ears and eyes. */
    public function planned(NextCheck $next): string
    {
        [$kind, $at, $of] = explode(' ', $next->key, 3);
        if ($kind !== 'read') {
            return '';
        }
        [$unit, $id] = explode('/', $at, 2);
        $meter = isset($this->rig->units[$unit]) ? $this->rig->modelOf($unit)->meters[$id] ?? null : null;
        $source = $this->rig->sources[$of] ?? null;
        $level = $meter === null || $source === null ? null
            : (new Readings($this->page->hearing->graph()))->ofSource($this->rig->units[$unit], $meter, $source);

        return $meter === null || $level === null ? 'As planned it does not move.' : "As planned it shows {$meter->reading($level)}.";
    }

    /** @return list<array{words: string, leaves: string, url: string}> what can be answered */
    public function outcomes(NextCheck $next): array
    {
        $answers = $next->answers;
        if (isset($answers[FaultFinder::EITHER])) {
            // What two faults do together nobody knows beforehand.
            $answers += array_fill_keys(array_map(
                fn (\UnitEnum $one) => $one->value,
                match (strtok($next->key, ' ')) {
                    'hear', 'unplug', 'swap' => Impression::cases(), 'list' => Presence::cases(), default => Deflection::cases(),
                },
            ), $answers[FaultFinder::EITHER]);
            unset($answers[FaultFinder::EITHER]);
        }
        $outcomes = [];
        foreach ($answers as $answer => $leaves) {
            $outcomes[] = [
                'words' => ucfirst($this->said($next->key, (string) $answer)),
                'leaves' => $leaves === 0 ? 'then it is something else' : 'leaves '.Count::of($leaves, 'suspect'),
                'url' => $this->url($this->answers->with($next->key, (string) $answer)),
            ];
        }

        return $outcomes;
    }

    public function unsureUrl(NextCheck $next): string
    {
        return $this->url($this->answers->with($next->key, FaultFinder::UNSURE));
    }

    /** What the simulated room answers to it; null in front of the real one. */
    public function roomsUrl(NextCheck $next): ?string
    {
        return $this->room === null ? null : $this->url($this->answers->with($next->key, $this->room->answer($next->key)));
    }

    /** What the simulated room answers to a check of one's own; null where nobody can make it. */
    public function askedUrl(string $check): ?string
    {
        $isCheck = in_array($check, array_map(strval(...), array_keys(array_merge(...array_values($this->choices())))), true);

        return $isCheck && $this->room !== null ? $this->url($this->answers->with($check, $this->room->answer($check))) : null;
    }

    /** @return array<string, array<string, string>> checks of the simulated room that nobody has made, in words, by kind and key */
    public function choices(): array
    {
        $choices = ['Listen' => [], 'Read a meter' => [], 'Read a list' => [], 'Look' => []];
        if ($this->table === null || $this->room === null) {
            return $choices;
        }
        foreach (array_keys($this->table->planned) as $check) {
            $choices[match (strtok($check, ' ')) {
                'hear' => 'Listen', 'list' => 'Read a list', default => 'Read a meter',
            }][$check] =
                $this->what($check);
        }
        foreach ($this->table->faults as $fault) {
            $choices['Look'][$fault->outlook->key()] = $fault->outlook->words($this->rig);
        }

        return array_map(function (array $of): array {
            $left = array_diff_key($of, $this->known);
            asort($left);

            return $left;
        }, $choices);
    }

    /** How the simulated room was found out, beside the way that the page asks for: "Found by 4 checks; the page needs 3". */
    public function score(): string
    {
        if ($this->table === null || $this->room === null) {
            return '';
        }
        $known = $this->room->complaints();
        $said = count($known);
        while (($next = (new FaultFinder($this->table, $known, [], $this->doing))->next()) !== null) {
            $known[$next->key] = $this->room->answer($next->key);
        }

        return 'Found by '.Count::of(count($this->answers->answers), 'check').'; by those that the page asks for it takes '
            .(count($known) - $said).'.';
    }

    /**
     * @return list<array{words: string, share: int, isChanged: bool, url: string}> what is suspected, the likeliest first; what sounds
     *     alike is one
     */
    public function suspected(): array
    {
        if ($this->finder === null || $this->table === null) {
            return [];
        }
        $groups = $shares = [];
        $all = 0.0;
        foreach ($this->finder->suspicions as $suspicion) {
            $class = implode(' ', array_map(fn (int $fault) => $this->table->classes[$fault], $suspicion->faults));
            $groups[$class][] = $suspicion;
            $shares[$class] = ($shares[$class] ?? 0.0) + $suspicion->weight;
            $all += $suspicion->weight;
        }
        arsort($shares);
        $suspected = [];
        foreach (array_slice($shares, 0, self::NAMED, true) as $class => $share) {
            $first = $this->table->faults[$groups[$class][0]->faults[0]];
            $suspected[] = [
                'words' => $this->alike(array_map($this->words(...), $groups[$class])),
                'share' => (int) round(100 * $share / $all),
                'isChanged' => array_filter($groups[$class][0]->faults, $this->finder->isChanged(...)) !== [],
                'url' => $this->page->url(['select' => "unit:{$first->outlook->unit}"], 'wiring'),
            ];
        }

        return $suspected;
    }

    /** How many groups are not named. */
    public function further(): int
    {
        return max(0, ($this->finder?->classes() ?? 0) - self::NAMED);
    }

    /** What it is, once only that is left and it was seen; null before. */
    public function found(): ?string
    {
        $first = $this->finder?->suspicions[0] ?? null;

        return $first === null || $this->next !== null ? null : $this->words($first);
    }

    /** What was found, as an edit names it, where it is one thing alone and the plan can be made so; null elsewhere. */
    public function foundDigests(): ?string
    {
        $first = $this->finder?->suspicions[0] ?? null;

        if ($first === null || $this->next !== null || $this->room !== null || count($this->finder->suspicions ?? []) > 1) {
            return null;
        }

        return implode('.', array_map(fn (int $i) => FaultAnswers::digest($this->table->faults[$i]->words ?? ''), $first->faults));
    }

    /** "3 suspects in 2 groups that ears and meters can tell apart", or that there are none. */
    public function standing(): string
    {
        $suspicions = $this->finder->suspicions ?? [];
        if ($suspicions === []) {
            return 'Nothing explains all of this';
        }
        $classes = $this->finder?->classes() ?? 0;
        $said = count($suspicions[0]->faults) > 1 ? Count::of(count($suspicions), 'pair of faults', 'pairs of faults')
            : Count::of(count($suspicions), 'suspect');

        return $said.($classes < count($suspicions) ? ' in '.Count::of($classes, 'group').' that ears and meters can tell apart' : '');
    }

    /** What was tried, where it is not all that there is. */
    public function tried(): string
    {
        return $this->table === null || $this->table->heard === $this->table->all ? ''
            : "Of {$this->table->all} possible faults {$this->table->heard} were tried: the rig is large.";
    }

    /** @return array<string, string> what can be said of a sound, by value */
    public static function impressions(): array
    {
        $said = [];
        foreach (Impression::cases() as $one) {
            $said[$one->value] = $one->words();
        }

        return $said;
    }

    public function url(?FaultAnswers $answers = null, ?bool $isFollowing = null): string
    {
        return route('rigs.faults', [$this->page->record->id, ...array_filter([
            'situation' => $this->page->situation->id,
            'known' => ($answers ?? $this->answers)->text(),
            'room' => $this->seed === 0 ? '' : (string) $this->seed,
            'since' => (string) ($this->since->number ?? ''),
            'follow' => ($isFollowing ?? $this->isFollowing) ? '1' : '',
        ], fn (string $one) => $one !== '')], false);
    }

    /** The address of a room with another fault. */
    public function practiseUrl(): string
    {
        return route('rigs.faults', [
            $this->page->record->id, 'situation' => $this->page->situation->id, 'room' => (string) ($this->seed + 1),
        ], false);
    }

    public function startUrl(): string
    {
        return route('rigs.faults', [$this->page->record->id, 'situation' => $this->page->situation->id], false);
    }

    public function knownText(): string
    {
        return $this->answers->text();
    }

    private function what(string $check): string
    {
        [$kind, $at, $of] = explode(' ', $check, 3);

        return match ($kind) {
            'hear' => "{$this->source($at)} at {$this->listener($of)}",
            'read' => "{$this->meter($at)} while {$this->source($of)} sounds",
            'list' => "{$this->device($at, $of)} in the list of {$this->unit($at)}",
            'unplug' => "{$this->pairOf($of)} with {$this->lead($at)} out",
            'swap' => "{$this->pairOf($of)} with another lead for {$this->lead($at)}",
            default => OutlookKind::tryFrom($at)?->words($this->unit($of)) ?? $at,
        };
    }

    private function said(string $check, string $answer): string
    {
        return match (true) {
            $answer === FaultFinder::UNSURE => 'not sure',
            str_starts_with($check, 'hear '), LeadWork::isOne($check) => Impression::tryFrom($answer)?->words() ?? $answer,
            str_starts_with($check, 'read ') => Deflection::tryFrom($answer)?->words() ?? $answer,
            str_starts_with($check, 'list ') => Presence::tryFrom($answer)?->words() ?? $answer,
            $answer === '' => 'all as planned',
            default => Listing::of(explode("\n", $answer)),
        };
    }

    /** @param  list<string>  $words */
    private function alike(array $words): string
    {
        $further = count($words) - self::ALIKE;

        return implode(', or ', array_slice($words, 0, self::ALIKE)).($further > 0 ? ", or {$further} more" : '');
    }

    private function words(Suspicion $suspicion): string
    {
        return implode(', and ', array_map(fn (int $fault) => $this->table->faults[$fault]->words ?? '', $suspicion->faults));
    }

    /** The first fault from the seed on that somebody complains of. */
    private function roomOf(SuspectTable $table): ?SimulatedRoom
    {
        $plan = $this->plan();
        $count = count($table->faults);
        for ($try = 0; $try < $count; $try++) {
            $fault = $table->faults[(crc32("room {$this->seed}") + $try) % $count];
            $room = $this->hide($plan, $fault);
            if ($room !== null && $room->complaints() !== []) {
                return $room;
            }
        }

        return null;
    }

    private function hide(Hearings $plan, Fault $fault): ?SimulatedRoom
    {
        try {
            return new SimulatedRoom($plan, $this->page->situation->id, [$fault]);
        } catch (InvalidRig) {
            return null;
        }
    }

    private function plan(): Hearings
    {
        return new Hearings($this->rig, [$this->page->situation->id => $this->page->hearing]);
    }

    private function lead(string $id): string
    {
        return $this->rig->cables[$id]->label ?? $id;
    }

    /** "Game at Viewers", of "game viewers". */
    private function pairOf(string $pair): string
    {
        [$source, $listener] = explode(' ', $pair) + [1 => ''];

        return "{$this->source($source)} at {$this->listener($listener)}";
    }

    private function source(string $id): string
    {
        return $this->rig->sources[$id]->name ?? $id;
    }

    private function listener(string $id): string
    {
        return $this->rig->listeners[$id]->name ?? $id;
    }

    private function unit(string $id): string
    {
        return $this->rig->units[$id]->name ?? $id;
    }

    private function device(string $computer, string $ref): string
    {
        $device = $this->page->hearing->graph()->devices->of($computer)[$ref] ?? null;

        return $device === null ? $ref : "{$device->name()} ({$device->direction->value})";
    }

    private function meter(string $at): string
    {
        [$unit, $id] = explode('/', $at, 2) + [1 => ''];
        $label = isset($this->rig->units[$unit]) ? $this->rig->modelOf($unit)->meters[$id]->label ?? $id : $id;

        return "{$this->unit($unit)}, {$label}";
    }
}
