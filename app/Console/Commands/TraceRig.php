<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\CausesReport;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Reach;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Report;
use Illuminate\Console\Command;

final class TraceRig extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:trace
        {file : A rig document}
        {--from= : A source\'s id}
        {--to= : A listener\'s id}
        {--situation= : A situation\'s id}
        {--json : JSON instead of text}';

    protected $description = 'Follow one sound to one listener: every way hop by hop, or how far it gets and what is the matter';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        $situation = $rig === null ? null : $this->situationOf($rig, $this->option('situation'));
        if ($rig === null || $situation === null) {
            return self::FAILURE;
        }
        foreach (['from' => $rig->sources, 'to' => $rig->listeners] as $option => $known) {
            if (! isset($known[(string) $this->option($option)])) {
                $this->components->error("--{$option} has to be one of: ".implode(', ', array_keys($known)).'.');

                return self::FAILURE;
            }
        }
        $hearings = new Hearings($rig);
        $hearing = $hearings->in($situation->id);
        $pair = $hearing->pair((string) $this->option('from'), (string) $this->option('to'));
        $key = Cell::of($pair, $situation->id)->key();
        $causes = ! $pair->verdict->isAtOdds()
            ? []
            : array_values(array_filter(
                (new Diagnosis($hearings))->causes(),
                fn (Cause $cause) => in_array($key, array_map(fn (Cell $cell) => $cell->key(), $cause->cells), true),
            ));
        $reach = $pair->isHeard() ? null : Reach::of($pair, $hearing);
        if ($this->option('json')) {
            $this->json([
                'rig' => $rig->name, 'situation' => $situation->id, 'source' => $pair->source->id, 'listener' => $pair->listener->id,
                'wish' => $pair->wish?->want->value,
                'verdict' => $pair->verdict->value,
                'level_db' => $pair->level()?->number(),
                'delay_ms' => $pair->delay()?->number(),
                'lost' => $pair->loss?->value,
                'arrivals' => array_map((new Report)->arrival(...), $pair->arrivals()),
                'doubling' => (new Report)->doubling($pair->doubling),
                'reaches' => $reach?->last, 'would_be_heard_by' => array_map(fn ($listener) => $listener->id, $reach->listeners ?? []),
                'causes' => (new CausesReport)->of($rig, $causes),
            ]);
        } else {
            $this->tell($pair, new Names($rig), $causes, $reach);
        }

        return self::SUCCESS;
    }

    /** @param  list<Cause>  $causes */
    private function tell(HeardPair $pair, Names $names, array $causes, ?Reach $reach): void
    {
        $this->line("{$pair->source->name} to {$pair->listener->name}: {$pair->verdict->value}"
            .($pair->doubling === null ? '' : ', '.$pair->doubling->text()).($pair->loss === null ? '' : ", {$pair->lossWords()}"));
        if ($pair->isHeard()) {
            $this->line("In sum: {$pair->level()?->text()} dB, {$pair->delay()?->text()} ms, {$pair->channels()}"
                .($pair->legs() === [] ? '' : ', by '.implode(' and ', $pair->legs())));
        }
        foreach ($pair->arrivals() as $number => $arrival) {
            $this->line('');
            $this->line('Way '.($number + 1).": {$arrival->gain->text()} dB, {$arrival->delay->text()} ms, {$arrival->channels()}");
            $this->table(['', 'Step', 'Gain', 'Level', 'Delay'], $this->rows($arrival, $names));
        }
        if ($reach !== null) {
            $this->line("It gets as far as: {$reach->last}");
            $this->line($reach->listeners === [] ? 'Nobody hears it.' : 'Heard by: '.implode(
                ', ',
                array_map(fn ($listener) => $listener->name, $reach->listeners),
            ));
        }
        foreach ($causes as $cause) {
            $this->line($cause->sentence);
            foreach ($cause->cures as $cure) {
                $this->line("  {$cure->sentence}");
            }
            if ($cause->why !== null) {
                $this->line("  {$cause->why}");
            }
        }
    }

    /** @return list<list<string>> each stage once: what a stage before has said is not said again */
    private function rows(Arrival $arrival, Names $names): array
    {
        $rows = [];
        foreach ($arrival->hops as $hop) {
            $isDull = in_array($hop->kind, [HopKind::Gain, HopKind::Fader], true)
                && $hop->gain->number() === 0 && $hop->delay->number() === 0;
            if (! $isDull) {
                $rows[] = [$hop->kind->value, $names->of($hop->at), $hop->gain->text(), $hop->level->text(), $hop->time->text()];
            }
        }

        return $rows;
    }
}
