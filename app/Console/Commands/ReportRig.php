<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\FindingsReport;
use HiddenWire\Core\Planning\CausesReport;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Report;
use Illuminate\Console\Command;

final class ReportRig extends Command
{
    use ReadsRigFile;
    use TellsCauses;

    protected $signature = 'rig:report
        {file : A rig document}
        {--situation= : A situation\'s id; the default where it is left out}
        {--json : JSON instead of a table}
        {--response : With the taps of each pair: delay in ms and signed amplitude (JSON only)}';

    protected $description = 'Say who hears what, by which ways, in one situation, and what causes what is not as wished in all of them';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        $situation = $rig === null ? null : $this->situationOf($rig, $this->option('situation'));
        if ($rig === null || $situation === null) {
            return self::FAILURE;
        }
        $hearings = new Hearings($rig);
        $hearing = $hearings->in($situation->id);
        $all = Examination::of($hearings, [], CatalogueFiles::catalogue());
        if ($this->option('json')) {
            $report = new Report;
            $causes = (new CausesReport)->of($rig, $all->causes);
            // All that is made from here is needed or let go of at once: looking for garbage would cost a third of the time and find none.
            gc_disable();
            $this->jsonWithList(
                ['rig' => $rig->name, 'situation' => $situation->id],
                'hearing',
                $report->pairs($hearing, (bool) $this->option('response')),
                [
                    ...$report->besides($hearing),
                    'findings' => (new FindingsReport)->of($all->findings, $situation->id),
                    'causes' => $causes,
                    'untried' => $all->untried,
                ],
            );
            gc_enable();

            return self::SUCCESS;
        }
        $this->line("{$rig->name}: {$situation->name}");
        $this->table(
            ['Source', 'Listener', 'Wish', 'Verdict', 'In sum', 'Ways'],
            array_map($this->row(...), iterator_to_array($hearing->all(), false)),
        );
        foreach ($hearing->loops() as $loop) {
            $this->line("Loop, {$loop->gain->text()} dB round".($loop->isBound ? ' at most' : '')
                .($loop->howls() ? ', howls' : ($loop->rings() ? ', rings' : '')).': '
                .implode(' · ', array_unique(array_map(fn ($hop) => $hop->label, $loop->hops))));
        }
        $this->tellCauses($rig, $all);
        $this->tellFindings($rig, $all->findings);

        return self::SUCCESS;
    }

    /** @return list<string> */
    private function row(HeardPair $pair): array
    {
        $arrivals = array_map(
            fn ($arrival) => "{$arrival->gain->text()} dB · {$arrival->delay->text()} ms · {$arrival->channels()}",
            $pair->arrivals(),
        );
        $legs = $pair->legs() === [] ? '' : ', by '.implode(' and ', $pair->legs());

        return [$pair->source->name, $pair->listener->name, $pair->wish->want->value ?? '', $pair->verdict->value, $pair->isHeard()
            ? "{$pair->level()?->text()} dB · {$pair->delay()?->text()} ms · {$pair->channels()}{$legs}" : '',
            implode("\n", $arrivals).($pair->isCapped() ? "\nand more" : '')];
    }
}
