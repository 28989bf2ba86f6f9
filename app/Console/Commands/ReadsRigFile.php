<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use Symfony\Component\Console\Output\OutputInterface;

/** What the commands on a document share: reading it, or saying every reason why not. */
trait ReadsRigFile
{
    /** Null after the errors have been printed. */
    private function rig(string $file): ?Rig
    {
        $size = is_file($file) ? filesize($file) : false;
        if ($size === false || ! is_readable($file)) {
            $this->components->error("There is no file {$file} that can be read.");

            return null;
        }
        try {
            if ($size > Json::MAX_BYTES) {
                throw InvalidDocument::whole('The file is larger than a rig document may be.');
            }

            return (new DocumentReader)->read((string) file_get_contents($file));
        } catch (InvalidDocument $e) {
            foreach ($e->problems as $problem) {
                $this->line(($problem->pointer === '' ? '(document)' : $problem->pointer).': '.$problem->message);
            }

            return null;
        }
    }

    private function situationOf(Rig $rig, ?string $id): ?Situation
    {
        $situation = $rig->situation($id);
        if ($situation === null) {
            $this->components->error("The rig has no situation \"{$id}\". It has: ".implode(', ', array_keys($rig->situations)).'.');
        }

        return $situation;
    }

    /** @param  array<string, mixed>  $data */
    private function json(array $data): void
    {
        $this->output->writeln($this->encoded($data), OutputInterface::OUTPUT_RAW);
    }

    /**
     * One object with a long list in it, written as it comes.
     *
     * @param  array<string, mixed>  $before
     * @param  iterable<array<string, mixed>>  $list
     * @param  array<string, mixed>  $after
     */
    private function jsonWithList(array $before, string $key, iterable $list, array $after): void
    {
        $write = fn (string $text) => $this->output->write($text, false, OutputInterface::OUTPUT_RAW);
        $write(substr($this->encoded($before), 0, -2).",\n    \"{$key}\": [");
        $separator = '';
        foreach ($list as $item) {
            $write($separator."\n        ".str_replace("\n", "\n        ", $this->encoded($item)));
            $separator = ',';
        }
        $write(($separator === '' ? '' : "\n    ")."],\n".substr($this->encoded($after), 2)."\n");
    }

    /** @param  array<string, mixed>  $data */
    private function encoded(array $data): string
    {
        return json_encode($data, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}
