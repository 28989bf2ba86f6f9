<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\BreakFinder;
use HiddenWire\Core\Signal\Cut;
use HiddenWire\Core\Signal\CutFinder;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\NearestBreak;
use HiddenWire\Core\Signal\Report;
use HiddenWire\Core\Signal\Verdict;
use Illuminate\Console\Command;

final class TraceRig extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:trace {file : A rig document} {--from= : A source\'s id} {--to= : A listener\'s id} {--situation= : A situation\'s id} {--json : JSON instead of text}';

    protected $description = 'Follow one sound to one listener: every way hop by hop, or the nearest break';

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
        $graph = (new GraphBuilder($rig))->build($situation);
        $hearing = new Hearing($graph);
        $pair = $hearing->pair((string) $this->option('from'), (string) $this->option('to'));
        $break = $pair->arrivals === [] ? (new BreakFinder($graph))->between($pair->source, $pair->listener) : null;
        $cut = in_array($pair->verdict, [Verdict::Leak, Verdict::Doubled], true) ? (new CutFinder($hearing))->of($pair) : null;
        if ($this->option('json')) {
            $this->json([
                'rig' => $rig->name, 'situation' => $situation->id, 'source' => $pair->source->id, 'listener' => $pair->listener->id,
                'wish' => $pair->wish?->want->value, 'verdict' => $pair->verdict->value,
                'arrivals' => array_map((new Report)->arrival(...), $pair->arrivals),
                'doubling' => $pair->doubling === null ? null : [
                    'kind' => $pair->doubling->kind()->value, 'apart_ms' => $pair->doubling->apart->number(), 'difference_db' => $pair->doubling->difference->number(),
                    'first_notch_hz' => $pair->doubling->firstNotch()?->value, 'depth_db' => $pair->doubling->depth()->number(),
                ],
                'break' => $break === null ? null : [
                    'live' => $break->live, 'waiting' => $break->waiting,
                    'changes' => array_map(fn ($change) => ['why' => $change->block->value, 'ref' => $change->ref, 'text' => $change->text], $break->changes),
                ],
                'cut' => $cut === null ? null : [
                    'changes' => array_map(fn ($change) => ['ref' => $change->ref, 'text' => $change->text], $cut->changes), 'merged_at' => $cut->mergedAt?->label,
                ],
            ]);
        } else {
            $this->tell($pair, $break, $cut);
        }

        return self::SUCCESS;
    }

    private function tell(HeardPair $pair, ?NearestBreak $break, ?Cut $cut): void
    {
        $this->line("{$pair->source->name} to {$pair->listener->name}: {$pair->verdict->value}".($pair->doubling === null ? '' : ', '.$pair->doubling->text()));
        foreach ($pair->arrivals as $number => $arrival) {
            $this->line('');
            $this->line('Way '.($number + 1).": {$arrival->gain->text()} dB, {$arrival->delay->text()} ms, {$arrival->channels()}");
            $this->table(['', 'Step', 'Gain', 'Level', 'Delay'], $this->rows($arrival));
        }
        if ($pair->arrivals === []) {
            $this->line($break === null ? 'Nothing that is known could join them.' : 'It gets as far as: '.(implode(' · ', $break->live) ?: 'its origin'));
        }
        if ($cut !== null) {
            $this->line($cut->changes === [] ? ($cut->mergedAt === null ? 'No switch stops it alone.' : "It can't be taken out alone: one signal with what is wanted from {$cut->mergedAt->label} on.") : 'To stop it:');
        }
        foreach ([...($cut->changes ?? []), ...($break->changes ?? [])] as $change) {
            $this->line('  '.$change->text);
        }
        if ($break !== null && $break->waiting !== []) {
            $this->line('From there it would be heard by: '.implode(' · ', $break->waiting));
        }
    }

    /** @return list<list<string>> */
    private function rows(Arrival $arrival): array
    {
        return array_map(fn ($hop) => [$hop->kind->value, $hop->label, $hop->gain->text(), $hop->level->text(), $hop->time->text()], $arrival->hops);
    }
}
