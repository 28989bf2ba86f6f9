<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\OwnModel;
use App\Models\User;

/** The models that a person has drawn. */
final readonly class OwnModelList
{
    /** @var list<array{id: int, name: string, summary: string}> */
    public array $models;

    public function __construct(User $user)
    {
        $this->models = array_values($user->ownModels()->orderBy('key')->get()->map(function (OwnModel $own): array {
            $model = $own->model();

            return ['id' => $own->id, 'name' => $model->name ?? $own->key, 'summary' => $model->summary ?? ''];
        })->all());
    }
}
