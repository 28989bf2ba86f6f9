<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
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
        {--finding= : Number of the finding, from 1}
        {--cure= : Number of its cure, from 1; the first where it is left out}
        {--all : The first cure of every cause; then what is left is diagnosed anew, until nothing changes}
        {--o|output= : Where to write the mended document}';

    protected $description = 'Say what is the matter with a rig; make a cure, or all of them, and write the mended document';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        if ($rig === null) {
            return self::FAILURE;
        }
        $hearings = new Hearings($rig);
        $all = Examination::of($hearings, [], CatalogueFiles::catalogue());
        if (! $this->option('all') && $this->option('cause') === null && $this->option('finding') === null) {
            $this->tellCauses($rig, $all);
            $this->tellFindings($rig, $all->findings);

            return self::SUCCESS;
        }
        if ($this->option('output') === null) {
            $this->components->error('Say where to write the mended document: -o FILE.');

            return self::FAILURE;
        }
        $mended = match (true) {
            (bool) $this->option('all') => $this->all($hearings, $all),
            $this->option('finding') !== null => $this->finding($rig, $all->findings),
            default => $this->one($rig, $all->causes),
        };
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

    private function all(Hearings $hearings, Examination $all): ?Rig
    {
        $mending = new Mending($hearings, $all->causes);
        if ($mending->cures === []) {
            $this->components->error($all->cells === 0 ? 'All is as wished: there is nothing to mend.'
                : 'There is no cure for any of the causes.');

            return null;
        }
        foreach ($mending->cures as $cure) {
            $this->line($cure->sentence);
        }
        foreach ($mending->open as $cause) {
            $this->line("Left: {$cause->sentence}. ".($cause->why ?? ''));
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

    /** @param  list<Finding>  $findings */
    private function finding(Rig $rig, array $findings): ?Rig
    {
        $number = (string) $this->option('finding');
        $which = (string) ($this->option('cure') ?? '1');
        $finding = ctype_digit($number) ? $findings[(int) $number - 1] ?? null : null;
        if ($finding === null) {
            $this->components->error("There is no finding {$number}: "
                .($findings === [] ? 'the checks have found nothing.' : 'this document has 1 to '.count($findings).'.'));

            return null;
        }
        $cure = ctype_digit($which) ? $finding->cures[(int) $which - 1] ?? null : null;
        if ($cure === null) {
            $this->components->error("Finding {$number} has no cure {$which}: "
                .($finding->cures === [] ? lcfirst($finding->why) : 'it has 1 to '.count($finding->cures).'.'));

            return null;
        }
        $this->line($cure->sentence);

        return $cure->applyTo($rig);
    }
}
