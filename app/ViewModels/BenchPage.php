<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Rig as Record;
use App\Models\TestAnswer;
use App\Models\TestRun;
use App\Takes\MeasuredTable;
use HiddenWire\Core\Bench\Event;
use HiddenWire\Core\Bench\Expected;
use HiddenWire\Core\Bench\Heard;
use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PlaceKind;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\URL;

/** The plan by which the real rig is tested, with what was found the last time. */
final readonly class BenchPage
{
    /** Who is hardly ever at the rig. */
    private const AWAY = [ListenerKind::Stream, ListenerKind::Caller, ListenerKind::Team, ListenerKind::Party];

    /** @var array<string, TestAnswer> by step */
    private array $answers;

    /** After what the plan is asked for; null for all of it. */
    public ?Event $after;

    /**
     * @param  string  $after  the key of an {@see Event}, or empty
     * @param  string  $listener  whose steps alone are asked for, or empty
     */
    public function __construct(
        public Record $record,
        public TestPlan $plan,
        public ?TestRun $run,
        string $after = '',
        private string $listener = '',
    ) {
        $this->after = Event::all($plan->rig)[$after] ?? null;
        $this->answers = $run === null ? [] : $run->answers()->with('user:id,name')->get()->keyBy('step')->all();
    }

    /** @return array<string, array<string, list<TestStep>>> by name of the situation and of the place, in the order of the walk */
    public function walk(): array
    {
        $walk = [];
        foreach ($this->steps() as $step) {
            $walk[$step->situation->name][$step->place->name][] = $step;
        }

        return $walk;
    }

    /** @return list<TestStep> all, or those that the event can reset */
    public function steps(): array
    {
        return array_values(array_filter($this->plan->steps, fn (TestStep $step) => ($this->after === null
            || isset($step->resetBy[$this->after->key])) && ($this->listener === '' || $step->listener->id === $this->listener)));
    }

    /** @return array<string, string> what can have happened, in words, by key; what resets nothing is left out */
    public function events(): array
    {
        $resetting = [];
        foreach ($this->plan->steps as $step) {
            $resetting += $step->resetBy;
        }

        return array_map(
            fn (Event $event) => ucfirst($event->words($this->plan->rig)),
            array_intersect_key(Event::all($this->plan->rig), $resetting),
        );
    }

    /** @return list<Fact> what a step has proven that nobody has said yet: it was as planned, and still is */
    public function proven(TestStep $step): array
    {
        return $this->stands($step) === 'as-planned' ? $step->proves : [];
    }

    /**
     * Who says so, and on which day.
     *
     * @return array{by: string, on: string}
     */
    public function witness(TestStep $step): array
    {
        $answer = $this->answer($step);

        return ['by' => mb_strimwidth($answer->user->name ?? '', 0, Bounds::SHORT_NAME, ''),
            'on' => $answer === null ? '' : Date::createFromTimestampMs($answer->at_ms)->format('Y-m-d')];
    }

    public function answer(TestStep $step): ?TestAnswer
    {
        return $this->answers[$step->key] ?? null;
    }

    /** Whether what was found was found of another way, or at another level. */
    public function isStale(TestStep $step): bool
    {
        $answer = $this->answer($step);

        return $answer !== null && $answer->state !== $step->state;
    }

    /** "as-planned", "trouble", "stale", "open": the state of a step. */
    public function stands(TestStep $step): string
    {
        $answer = $this->answer($step);

        return match (true) {
            $answer === null => 'open',
            $this->isStale($step) => 'stale',
            $answer->heard->isFine() => 'as-planned',
            default => 'trouble',
        };
    }

    /** "12 of 56 steps done, 1 with trouble, 2 out of date". */
    public function standing(): string
    {
        $count = array_count_values(array_map($this->stands(...), $this->plan->steps)) + ['as-planned' => 0, 'trouble' => 0, 'stale' => 0];
        $done = $count['as-planned'] + $count['trouble'];

        return implode(', ', array_filter([
            "{$done} of ".Count::of(count($this->plan->steps), 'step').' done',
            $count['trouble'] === 0 ? '' : "{$count['trouble']} with trouble",
            $count['stale'] === 0 ? '' : "{$count['stale']} out of date",
        ]));
    }

    /** For every view of the rig: "Tested on 3 May 2026, 2 steps out of date". */
    public static function note(TestRun $run, int $stale): string
    {
        return 'Tested on '.$run->started_at->format('j F Y').($stale === 0 ? '' : ', '.Count::of($stale, 'step').' out of date');
    }

    /** "Tested on the night of 3 May, 2 steps out of date": of whoever looks at the rig. */
    public function tested(): string
    {
        return $this->run === null ? 'Never tested' : 'Tested on '.$this->run->started_at->format('j F Y, H:i')
            .($this->run->user === null ? '' : " by {$this->run->user->name}").', revision '.$this->run->revision;
    }

    public function runUrl(): string
    {
        return route('rigs.bench.run', array_filter([$this->record->id, $this->run->id ?? 0, 'after' => $this->after?->key]));
    }

    /** @return array<string, string> for whoever is not at the rig, a link that holds a day, by name */
    public function farUrls(): array
    {
        $urls = [];
        foreach ($this->plan->steps as $step) {
            if ($this->run !== null && $this->isAway($step) && ! isset($urls[$step->listener->name])) {
                $urls[$step->listener->name] = self::farUrl($this->run, $step->listener);
            }
        }

        return $urls;
    }

    /** Whether its listener is not at the rig. */
    public function isAway(TestStep $step): bool
    {
        return in_array($step->listener->kind, self::AWAY, true) || $step->place->kind === PlaceKind::Remote;
    }

    public static function farUrl(TestRun $run, Listener $listener): string
    {
        return URL::temporarySignedRoute('far', now()->addDay(), [$run->id, $listener->id]);
    }

    /** How long after it is played the latest sound comes, ms. */
    public function lateMs(): float
    {
        return max([0.0, ...array_map(fn (TestStep $step) => $step->lateMs, $this->steps())]);
    }

    /**
     * What tone tests measured while the test was on, by name of the track and of the sound.
     *
     * @return list<array{track: string, sound: string, db: string, planned: string, differences: string}>
     */
    public function measured(): array
    {
        $rig = $this->plan->rig;
        $said = function (?float $db, ?float $ms): string {
            $late = $ms === null || $ms < 0.05 ? '' : ', +'.number_format($ms, 1).' ms';

            return $db === null ? 'none' : Decibels::of(round($db, 1))->text()." dB{$late}";
        };

        return array_map(fn (array $row): array => [
            'track' => $rig->listeners[$row['track']]->name ?? $row['track'],
            'sound' => $rig->sources[$row['source']]->name ?? $row['source'],
            'db' => $said($row['db'], $row['late_ms']),
            'planned' => $said($row['planned_db'], $row['planned_late_ms']),
            'differences' => implode('; ', $row['differences']),
        ], $this->run === null ? [] : MeasuredTable::of($this->run));
    }

    public function exportUrl(): string
    {
        return route('rigs.bench.export', [$this->record->id, $this->run->id ?? 0]);
    }

    /** Where to look for what is wrong at a step: with all that the test has answered of its situation. */
    public function faultUrl(TestStep $step): string
    {
        $known = FaultAnswers::read('');
        foreach ($this->plan->steps as $one) {
            $heard = $one->situation === $step->situation && ! $this->isStale($one) ? $this->answer($one)?->heard : null;
            foreach ($one->expected as $expected) {
                $said = $heard === null ? null : $this->said($heard, $one, $expected);
                $known = $said === null ? $known : $known->with("hear {$expected->source->id} {$one->listener->id}", $said->value);
            }
        }

        return route('rigs.faults', [$this->record->id, 'situation' => $step->situation->id, 'known' => $known->text()], false);
    }

    /** What an answer says of one sound of a step; null where it is not clear which of them is meant, or the plan itself is otherwise. */
    private function said(Heard $heard, TestStep $step, Expected $expected): ?Impression
    {
        if (! $expected->isPlanned || (! $heard->isFine() && count($step->expected) > 1)) {
            return null;
        }

        return match ($heard) {
            Heard::AsPlanned => $expected->isHeard ? Impression::Heard : Impression::Nothing,
            Heard::Nothing => $expected->isHeard ? Impression::Nothing : Impression::Heard,
            Heard::Faint => $expected->isHeard ? Impression::Faint : Impression::Heard,
            Heard::OneSide => Impression::OneSide,
            Heard::Echo => Impression::Echo,
            Heard::Hum, Heard::Other => null,
        };
    }

    /** For the page's script. */
    public function answersText(): string
    {
        $answers = [];
        foreach ($this->plan->steps as $step) {
            $one = $this->answer($step);
            // What is out of date is asked again.
            if ($one !== null && ! $this->isStale($step)) {
                $answers[$step->key] = ['heard' => $one->heard->value, 'note' => $one->note, 'at' => $one->at_ms];
            }
        }

        return json_encode((object) $answers, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, string> what can be said of a step, by its value */
    public static function choices(TestStep $step): array
    {
        $choices = [];
        foreach (Heard::of($step) as $heard) {
            $choices[$heard->value] = $heard->words($step->isSilence());
        }

        return $choices;
    }
}
