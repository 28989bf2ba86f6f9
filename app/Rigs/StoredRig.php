<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\Cache;

/**
 * A stored rig, ready to compute with. Made from its rows; kept ready for the revision that it was made from, since a page is asked for far more often than a rig is changed.
 */
final class StoredRig
{
    private const SECONDS = 86400;

    public static function load(Rig $rig): CoreRig
    {
        $kept = Cache::get("rig:{$rig->id}");
        if (is_array($kept) && $kept['revision'] === $rig->revision && $kept['build'] === self::build() && $kept['rig'] instanceof CoreRig) {
            return $kept['rig'];
        }
        $made = RigFromRows::rig($rig);
        Cache::put("rig:{$rig->id}", ['revision' => $rig->revision, 'build' => self::build(), 'rig' => $made], self::SECONDS);

        return $made;
    }

    /** Changes when the core changes, so that no object of an older one is taken up. */
    private static function build(): int
    {
        return max(array_map(fn (string $file) => (int) filemtime($file), [
            base_path('core/Rig/Rig.php'), base_path('core/Equipment/EquipmentModel.php'), base_path('core/Document/DocumentReader.php'), base_path('composer.json'),
        ]));
    }
}
