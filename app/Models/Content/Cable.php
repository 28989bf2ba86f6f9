<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A cable of a rig. */
final class Cable extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['owned' => 'boolean', 'lanes' => 'array', 'length_m' => 'float'];
    }
}
