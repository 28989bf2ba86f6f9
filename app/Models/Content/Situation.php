<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A situation of a rig. */
final class Situation extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return array_fill_keys(['absent', 'pulled', 'plugged', 'effects', 'scenes', 'defaults', 'levels', 'settings'], 'array');
    }
}
