<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** How a unit's point is set. */
final class UnitPointSetting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            ...array_fill_keys(['mute', 'mono', 'auto_mute', 'solo'], 'boolean'),
            ...array_fill_keys(['delay_ms', 'gain', 'fader'], 'float'),
        ];
    }
}
