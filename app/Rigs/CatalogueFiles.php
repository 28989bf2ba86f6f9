<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\User;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Equipment\EquipmentModel;

/** The catalogue's files, read once a process, and what people made beside it. */
final class CatalogueFiles
{
    private const SECONDS = 30 * 86400;

    private static ?Catalogue $catalogue = null;

    /** Read from its files, or as it was kept ready from the same files before. */
    public static function catalogue(): Catalogue
    {
        return self::$catalogue ??= self::kept();
    }

    private static function kept(): Catalogue
    {
        $stamp = CoreBuild::stamp().CoreBuild::dataStamp();
        $kept = Packed::get('catalogue');
        if (is_array($kept) && $kept['stamp'] === $stamp && $kept['catalogue'] instanceof Catalogue) {
            return $kept['catalogue'];
        }
        $files = glob(resource_path('catalogue/*.json')) ?: [];
        $made = Catalogue::of((function () use ($files) {
            foreach ($files as $file) {
                yield basename($file, '.json') => (string) file_get_contents($file);
            }
        })());
        Packed::put('catalogue', ['stamp' => $stamp, 'catalogue' => $made], self::SECONDS);

        return $made;
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
