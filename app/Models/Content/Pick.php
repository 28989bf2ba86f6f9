<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A program's choice of a device. */
final class Pick extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['channels' => 'array', 'pick_db' => 'float', 'pick_mute' => 'boolean', 'also' => 'array'];
    }
}
