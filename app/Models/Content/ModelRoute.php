<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A route of an equipment model. */
final class ModelRoute extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => 'boolean', 'map' => 'array', 'can' => 'array', 'db' => 'float', 'delay_ms' => 'float', 'made_at' => 'array'];
    }
}
