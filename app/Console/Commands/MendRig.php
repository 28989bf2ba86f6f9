<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Curing;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
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
        if (! $this->option('all') && $this->option('cause') === null && $this->option('finding') === null) {
            $this->tellCauses($rig, $diagnosis);
            $this->tellFindings($rig, $this->findings($hearings));

            return self::SUCCESS;
        }
        if ($this->option('output') === null) {
            $this->components->error('Say where to write the mended document: -o FILE.');

            return self::FAILURE;
        }
        $mended = match (true) {
            (bool) $this->option('all') => $this->all($hearings, $diagnosis),
            $this->option('finding') !== null => $this->finding($rig, $this->findings($hearings)),
            default => $this->one($rig, $diagnosis->causes()),
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

    /** @return list<Finding> */
    private function findings(Hearings $hearings): array
    {
        $in = new Inspection($hearings, CatalogueFiles::catalogue());

        return (new Curing($in))->of(Checks::findings($in));
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
