<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Report;
use Illuminate\Console\Command;

final class ReportRig extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:report {file : A rig document} {--situation= : A situation\'s id; the base situation where it is left out} {--json : JSON instead of a table}';

    protected $description = 'Say who hears what, by which ways, in one situation';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        $situation = $rig === null ? null : $this->situationOf($rig, $this->option('situation'));
        if ($rig === null || $situation === null) {
            return self::FAILURE;
        }
        $hearing = new Hearing((new GraphBuilder($rig))->build($situation));
        if ($this->option('json')) {
            $this->json((new Report)->of($hearing));

            return self::SUCCESS;
        }
        $this->line("{$rig->name}: {$situation->name}");
        $this->table(['Source', 'Listener', 'Wish', 'Verdict', 'Arrivals'], array_map($this->row(...), iterator_to_array($hearing->all(), false)));
        foreach ($hearing->loops as $loop) {
            $this->line("Loop, {$loop->gain->text()} dB round: ".implode(' · ', array_map(fn ($hop) => $hop->label, $loop->hops)));
        }

        return self::SUCCESS;
    }

    /** @return list<string> */
    private function row(HeardPair $pair): array
    {
        $arrivals = array_map(fn ($arrival) => "{$arrival->gain->text()} dB · {$arrival->delay->text()} ms · {$arrival->channels()}", $pair->arrivals);

        return [$pair->source->name, $pair->listener->name, $pair->wish->want->value ?? '', $pair->verdict->value, implode("\n", $arrivals)];
    }
}
