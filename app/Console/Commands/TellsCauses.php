<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Rig;

/** Causes and cures as lines to read, numbered from 1. */
trait TellsCauses
{
    private function tellCauses(Rig $rig, Examination $all): void
    {
        [$cells, $causes] = [$all->cells, $all->causes];
        if ($cells === 0) {
            $this->line($rig->wishes === [] ? 'No wishes yet.' : 'All as wished, in every situation.');

            return;
        }
        $this->line(count($causes).' '.(count($causes) === 1 ? 'cause' : 'causes').' for '.$cells.' '.($cells === 1 ? 'cell' : 'cells')
            .', all situations together:');
        foreach ($causes as $number => $cause) {
            $this->line('  '.($number + 1).". {$cause->sentence}");
            $this->line('     '.implode(
                '; ',
                array_map(
                    fn (Cell $cell) => "{$rig->sources[$cell->source]->name} at {$rig->listeners[$cell->listener]->name} "
                        ."({$rig->situations[$cell->situation]->name})",
                    array_slice($cause->cells, 0, 6),
                ),
            ).(count($cause->cells) > 6 ? ' and '.(count($cause->cells) - 6).' more' : ''));
            foreach ($cause->cures as $which => $cure) {
                $this->line('     '.($number + 1).'.'.($which + 1)." {$cure->sentence}"
                    .self::remarks($cure));
            }
            if ($cause->why !== null) {
                $this->line("     {$cause->why}");
            }
            foreach ($cause->notes as $note) {
                $this->line("     {$note}");
            }
        }
        if ($all->untried > 0) {
            $this->line("{$all->untried} further changes were not tried.");
        }
    }

    /** @param  list<Finding>  $findings */
    private function tellFindings(Rig $rig, array $findings): void
    {
        $this->line($findings === [] ? 'The checks have found nothing.' : Count::of(count($findings), 'finding').':');
        foreach ($findings as $number => $finding) {
            $where = $finding->situations === [] || count($finding->situations) === count($rig->situations) ? ''
                : ' ('.implode(', ', array_map(fn (string $id) => $rig->situations[$id]->name, $finding->situations)).')';
            $this->line('  '.($number + 1).". {$finding->severity->value}, {$finding->code}: {$finding->sentence}{$where}");
            $this->line("     {$finding->why}");
            foreach ($finding->cures as $which => $cure) {
                $this->line('     '.($number + 1).'.'.($which + 1)." {$cure->sentence}"
                    .self::remarks($cure));
            }
        }
    }

    /** " (keeps the way by W-07; Chair 15 dB quieter for Viewers)" */
    private static function remarks(Cure $cure): string
    {
        return $cure->remarks() === [] ? '' : ' ('.implode('; ', array_slice($cure->remarks(), 0, 4)).')';
    }
}
