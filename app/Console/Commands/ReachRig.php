<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\ReachReport;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\Hands;
use Illuminate\Console\Command;

final class ReachRig extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:reach
        {file : A rig document}
        {--control= : A control\'s id; all where it is left out}
        {--situation= : A situation\'s id; all where it is left out}
        {--json : JSON instead of a table}';

    protected $description = 'Say for each control, in each situation, for whom what changes from its lowest to its highest position';

    public function handle(): int
    {
        $rig = $this->rig($this->argument('file'));
        if ($rig === null) {
            return self::FAILURE;
        }
        $situation = $this->option('situation') === null ? null : $this->situationOf($rig, $this->option('situation'));
        if ($this->option('situation') !== null && $situation === null) {
            return self::FAILURE;
        }
        $asked = (string) $this->option('control');
        $all = Hands::of($rig);
        if ($asked !== '' && ! isset($all[$asked])) {
            $this->error("There is no control \"{$asked}\". There are: ".(implode(', ', array_keys($all)) ?: 'none').'.');

            return self::FAILURE;
        }
        $controls = $asked === '' ? array_values($all) : [$all[$asked]];
        $situations = $situation === null ? array_map(strval(...), array_keys($rig->situations)) : [$situation->id];
        $plan = new Hearings($rig);
        if ($this->option('json')) {
            $this->json(['rig' => $rig->name, 'controls' => (new ReachReport)->of($plan, $controls, $situations)]);

            return self::SUCCESS;
        }
        $reach = new ControlReach($plan);
        $names = new ControlNames($rig);
        foreach ($controls as $control) {
            $this->line("{$control->words()}: ".implode('; ', array_map($names->move(...), $control->moves)));
            foreach ($situations as $id) {
                $rows = [];
                foreach ($reach->of($control, $id) as $one) {
                    $with = $one->with === null ? '' : ', with '.$all[$one->with]->name;
                    $rows[] = [
                        $rig->situations[$id]->name,
                        $one->by->words().$with.($one->to === null ? '' : ', assigned to '.$names->target($one->to)),
                        $one->source->name, $one->listener->name, $one->words(),
                    ];
                }
                $rows === [] ? $this->line("  {$rig->situations[$id]->name}: nothing changes")
                    : $this->table(['Situation', 'When', 'Source', 'Listener', 'Level'], $rows);
            }
        }

        return self::SUCCESS;
    }
}
