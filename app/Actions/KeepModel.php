<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\OwnModel;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Naming;

/** Keeps an equipment model as a person's own. */
final class KeepModel
{
    /** The id that a new one of this name gets. */
    public static function idFor(User $user, string $name): string
    {
        return Naming::id($name, array_map(strval(...), array_keys(CatalogueFiles::with($user))));
    }

    /** Keeps it as a new one, or in the place of an existing one. */
    public static function keep(User $user, EquipmentModel $model, ?OwnModel $inPlaceOf = null): void
    {
        $document = Json::encode((new DocumentWriter)->model($model));
        $inPlaceOf === null
            ? $user->ownModels()->create(['key' => $model->id, 'document' => $document])
            : $inPlaceOf->update(['document' => $document]);
    }

    public static function said(EquipmentModel $model): string
    {
        return "{$model->name} is kept. It stands in the stock's list of models now.";
    }
}
