<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Mending;
use HiddenWire\Core\Rig\Rig;
use Illuminate\Console\Command;

final class MendRig extends Command
{
    use ReadsRigFile;
    use TellsCauses;

    protected $signature = 'rig:mend
        {file : A rig document}
        {--cause= : Number of the cause, from 1}
        {--cure= : Number of its cure, from 1; the first where it is left out}
        {--all : The first cure of every cause, as far as they go together}
        {--o|output= : Where to write the mended document}';

    protected $description = 'Say what is the matter with a rig; make a cure, or all of them, and write the mended document';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        if ($rig === null) {
            return self::FAILURE;
        }
        $hearings = new Hearings($rig);
        $diagnosis = new Diagnosis($hearings);
        if (! $this->option('all') && $this->option('cause') === null) {
            $this->tellCauses($rig, $diagnosis);

            return self::SUCCESS;
        }
        if ($this->option('output') === null) {
            $this->components->error('Say where to write the mended document: -o FILE.');

            return self::FAILURE;
        }
        $mended = $this->option('all') ? $this->all($hearings, $diagnosis) : $this->one($rig, $diagnosis->causes());
        if ($mended === null) {
            return self::FAILURE;
        }
        if (@file_put_contents($this->option('output'), (new DocumentWriter)->write($mended)) === false) {
            $this->components->error("{$this->option('output')} can't be written.");

            return self::FAILURE;
        }
        $left = count((new Diagnosis(new Hearings($mended)))->cells());
        $this->line($left === 0 ? 'All is as wished now.' : "{$left} ".($left === 1 ? 'cell is' : 'cells are').' not as wished still.');

        return self::SUCCESS;
    }

    private function all(Hearings $hearings, Diagnosis $diagnosis): ?Rig
    {
        $mending = new Mending($hearings, $diagnosis->causes());
        if ($mending->cures === []) {
            $this->components->error($diagnosis->cells() === [] ? 'All is as wished: there is nothing to mend.'
                : 'There is no cure for any of the causes.');

            return null;
        }
        foreach ($mending->cures as $cure) {
            $this->line($cure->sentence);
        }

        return $mending->rig;
    }

    /** @param  list<Cause>  $causes */
    private function one(Rig $rig, array $causes): ?Rig
    {
        $number = (string) $this->option('cause');
        $which = (string) ($this->option('cure') ?? '1');
        $cause = ctype_digit($number) ? $causes[(int) $number - 1] ?? null : null;
        if ($cause === null) {
            $this->components->error("There is no cause {$number}: "
                .($causes === [] ? 'all is as wished.' : 'this document has 1 to '.count($causes).'.'));

            return null;
        }
        $cure = ctype_digit($which) ? $cause->cures[(int) $which - 1] ?? null : null;
        if ($cure === null) {
            $this->components->error("Cause {$number} has no cure {$which}: "
                .($cause->cures === [] ? ($cause->why ?? 'it has none').'' : 'it has 1 to '.count($cause->cures).'.'));

            return null;
        }
        $this->line($cure->sentence);

        return $cure->applyTo($rig);
    }
}
