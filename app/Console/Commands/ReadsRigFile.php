<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

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
        $this->output->writeln((string) json_encode($data, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }
}
