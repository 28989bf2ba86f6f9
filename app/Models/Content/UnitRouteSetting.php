<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** How a unit's route is set. */
final class UnitRouteSetting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => 'boolean', 'db' => 'float'];
    }
}
