<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exports\Drawings;
use App\Exports\Exports;
use App\Exports\LabelStock;
use App\Exports\NotInstalled;
use App\Exports\Paper;
use App\Rigs\CatalogueFiles;
use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Book\ScheduleOrder;
use Illuminate\Console\Command;

/** Writes a rig document in any of the forms in which a rig leaves; no database is needed. */
final class ExportRig extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:export
        {file : A rig document}
        {--format=document : document, pdf, html, markdown, labels, cables-csv, devices-csv, ods, graphml, dot, svg or png}
        {--o|output= : Where to write; the standard output where it is left out}
        {--parts= : Of the book, with commas between; all where it is left out}
        {--depth=cables : Of the map: cables, sockets, inside or everything}
        {--paper=a4 : a4 or letter}
        {--order=label : Of the cable schedule: label, place or run}
        {--labels= : The sheet of labels: a4-65, a4-24 or letter-30; or a tape: tape-9, tape-12, tape-18 or tape-24}
        {--url= : Address of the rig, which the codes of its labels open: https://example.org/rigs/4}';

    protected $description = 'Write a rig as a book, a table, a graph or a map';

    public function handle(): int
    {
        $depth = MapDepth::tryFrom((string) $this->option('depth'));
        $paper = Paper::tryFrom((string) $this->option('paper'));
        $parts = $this->option('parts') === null ? null : explode(',', (string) $this->option('parts'));
        $unknown = array_diff($parts ?? [], array_keys(Parts::all()));
        if ($depth === null || $paper === null || $unknown !== []) {
            $this->components->error(match (true) {
                $depth === null => 'The depth is cables, sockets, inside or everything.', $paper === null => 'The paper is a4 or letter.',
                default => 'The book has no part "'.implode('", "', $unknown).'"; it has '.implode(', ', array_keys(Parts::all())).'.',
            });

            return self::FAILURE;
        }
        $rig = $this->rig($this->argument('file'));
        if ($rig === null) {
            return self::FAILURE;
        }
        $source = new BookInput(
            $rig,
            order: ScheduleOrder::tryFrom((string) $this->option('order')) ?? ScheduleOrder::Label,
            usual: CatalogueFiles::catalogue()->has(...),
        );
        $stock = LabelStock::of((string) $this->option('labels'));
        $all = Exports::all(new Drawings($source), $parts, $depth, $paper, $stock, $this->address());
        $exporter = $all[(string) $this->option('format')] ?? null;
        if ($exporter === null) {
            $this->components->error('There is no such format; there are '.implode(', ', array_keys($all)).'.');

            return self::FAILURE;
        }
        try {
            $written = $exporter->write($source);
        } catch (NotInstalled|\RuntimeException $e) {
            $this->components->error($e->getMessage());

            return self::FAILURE;
        }

        return $this->put($written, $this->option('output'));
    }

    /** @return (\Closure(string): string)|null where the application shows what is selected; null where nobody has said */
    private function address(): ?\Closure
    {
        $url = rtrim((string) $this->option('url'), '/');

        return $url === '' ? null : fn (string $select): string => "{$url}/label/".strtr($select, ':', '/');
    }

    private function put(string $written, ?string $to): int
    {
        if ($to === null) {
            $this->output->write($written, false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        if (@file_put_contents($to, $written) === false) {
            $this->components->error("{$to} can't be written.");

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
