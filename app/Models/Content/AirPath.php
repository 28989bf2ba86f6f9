<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** Sound through the air. */
final class AirPath extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['db' => 'float', 'delay_ms' => 'float'];
    }
}
