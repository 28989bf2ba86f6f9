<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** The user's settings on a computer's device. */
final class DeviceSetting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['enabled' => 'boolean', 'roles' => 'array', 'db' => 'float', 'mute' => 'boolean', 'processing' => 'array'];
    }
}
