<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\User;
use HiddenWire\Core\Equipment\Catalogue;
use HiddenWire\Core\Equipment\EquipmentModel;

/** The catalogue's files, read once a process, and what people made beside it. */
final class CatalogueFiles
{
    public static function catalogue(): Catalogue
    {
        return once(fn () => Catalogue::of((function () {
            foreach (glob(resource_path('catalogue/*.json')) ?: [] as $file) {
                yield basename($file, '.json') => (string) file_get_contents($file);
            }
        })()));
    }

    /** @return array<string, EquipmentModel> the catalogue's models and a user's own, by id */
    public static function with(User $user): array
    {
        return self::catalogue()->models + self::ownOf($user);
    }

    /** @return array<string, EquipmentModel> by id */
    public static function ownOf(User $user): array
    {
        $models = [];
        foreach ($user->ownModels()->orderBy('key')->get() as $own) {
            $models[$own->key] = $own->model();
        }

        return array_filter($models);
    }
}
