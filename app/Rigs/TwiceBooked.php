<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use App\Models\User;
use HiddenWire\Core\Rig\Days;
use Illuminate\Support\Facades\DB;

/** Units of a rig whose inventory number is also in another rig that is used on the same days: one of them will not be there. */
final class TwiceBooked
{
    private const MOST = 200;

    /** @return list<array{key: string, name: string, number: string, rig: int, rigName: string, otherKey: string, days: Days}> */
    public static function in(Rig $rig, User $for): array
    {
        if ($rig->first_day === null || $rig->last_day === null) {
            return [];
        }
        $rows = DB::query()->fromSub($for->visibleRigs()->toBase(), 'other')
            ->join('units as theirs', 'theirs.rig_id', '=', 'other.id')
            ->join('units as ours', 'ours.inventory', '=', 'theirs.inventory')
            ->where('ours.rig_id', $rig->id)->where('other.id', '!=', $rig->id)->where('ours.inventory', '!=', '')
            ->where('other.first_day', '<=', $rig->last_day)->where('other.last_day', '>=', $rig->first_day)
            ->orderBy('ours.position')->orderBy('other.first_day')->orderBy('other.id')->limit(self::MOST)
            ->get(['ours.key', 'ours.name', 'ours.inventory', 'other.id', 'other.name as rig_name', 'theirs.key as other_key',
                'other.first_day', 'other.last_day']);

        return array_values($rows->map(fn (\stdClass $row) => [
            'key' => $row->key, 'name' => $row->name, 'number' => $row->inventory, 'rig' => $row->id, 'rigName' => $row->rig_name,
            'otherKey' => $row->other_key, 'days' => new Days($row->first_day, $row->last_day),
        ])->all());
    }
}
