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
        return ['mute' => 'boolean', 'mono' => 'boolean', 'auto_mute' => 'boolean', 'delay_ms' => 'float', 'gain' => 'float',
            'fader' => 'float'];
    }
}
