<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\EquipmentModel;

/** The computers of a rig, and the programs that could run on them. */
final readonly class Computers
{
    /** @var list<Computer> */
    public array $computers;

    /** @var array<string, EquipmentModel> by id */
    public array $programs;

    /** @param  array<string, EquipmentModel>  $models  that may be used, by id */
    public function __construct(RigPage $page, array $models)
    {
        $this->computers = Computer::all($page);
        $this->programs = array_filter($models, fn (EquipmentModel $model) => $model->isProgram());
    }
}
