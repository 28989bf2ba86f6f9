<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HearingDifference;
use HiddenWire\Core\Signal\SituationDifference;
use Illuminate\Console\Command;

final class CompareSituations extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:compare
        {file : A rig document}
        {--from= : A situation\'s id; the default where it is left out}
        {--to= : A situation\'s id}
        {--json : JSON instead of text}';

    protected $description = 'Say what changes from one situation to another: what a hand has to do, and for whom what is heard changes';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        $from = $rig === null ? null : $this->situationOf($rig, $this->option('from'));
        $to = $rig === null || $from === null ? null : $this->situationOf($rig, $this->option('to'));
        if ($rig === null || $from === null || $to === null) {
            return self::FAILURE;
        }
        $builder = new GraphBuilder($rig);
        $difference = new SituationDifference(new Hearing($builder->build($from)), new Hearing($builder->build($to)));
        if ($this->option('json')) {
            $this->json([
                'rig' => $rig->name, 'from' => $from->id, 'to' => $to->id, 'changes' => $difference->changes,
                'hearing' => array_map(fn (array $pair) => [
                    'source' => $pair['before']->source->id, 'listener' => $pair['before']->listener->id,
                    'before' => ['verdict' => $pair['before']->verdict->value, 'arrivals' => count($pair['before']->arrivals())],
                    'after' => ['verdict' => $pair['after']->verdict->value, 'arrivals' => count($pair['after']->arrivals())],
                ], $difference->pairs),
            ]);

            return self::SUCCESS;
        }
        $this->line("From {$from->name} to {$to->name}:");
        foreach ($difference->changes as $change) {
            $this->line("  {$change}");
        }
        foreach ($difference->pairs as $pair) {
            $verdicts = $pair['before']->verdict === $pair['after']->verdict ? ''
                : ", {$pair['before']->verdict->value} → {$pair['after']->verdict->value}";
            $this->line("  {$pair['before']->source->name} at {$pair['before']->listener->name}: "
                .HearingDifference::says($pair['before'], $pair['after']).$verdicts);
        }

        return self::SUCCESS;
    }
}
