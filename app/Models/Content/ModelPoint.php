<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A point of an equipment model. */
final class ModelPoint extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'mute' => 'boolean',
            'mono' => 'boolean',
            'pick_from' => 'array',
            'can_follow' => 'array',
            'effects' => 'array',
            'in_scenes' => 'boolean',
            'capsule' => 'array',
            'made_at' => 'array',
            'delay_to_ms' => 'float',
            'gain_from' => 'float',
            'gain_to' => 'float',
            'gain_db' => 'float',
            'gain_scale' => 'array',
            'fader_scale' => 'array',
            'fader_from' => 'float',
            'fader_to' => 'float',
            'fader_db' => 'float',
            'device_latency_ms' => 'float',
        ];
    }
}
