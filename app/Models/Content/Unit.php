<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A unit of a rig. */
final class Unit extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at_login' => 'boolean', ...array_fill_keys(['links', 'system', 'values', 'names', 'linked', 'always'], 'array')];
    }
}
