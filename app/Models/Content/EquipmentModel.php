<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** An equipment model that a rig carries. */
final class EquipmentModel extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['auto_mutes' => 'array', 'runs_on' => 'array', 'asks' => 'array', 'made_at' => 'array'];
    }
}
