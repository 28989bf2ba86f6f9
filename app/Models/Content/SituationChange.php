<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** An override of a situation. */
final class SituationChange extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'pick_db' => 'float', 'pick_mute' => 'boolean', 'also' => 'array',
            'is_pick' => 'boolean',
            'mute' => 'boolean',
            'mono' => 'boolean',
            'auto_mute' => 'boolean',
            'solo' => 'boolean',
            'delay_ms' => 'float',
            'on' => 'boolean',
            'channels' => 'array',
            'gain' => 'float',
            'fader' => 'float',
            'db' => 'float',
        ];
    }
}
