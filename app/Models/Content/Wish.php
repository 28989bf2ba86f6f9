<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** What is wanted for a pair. */
final class Wish extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['own_level' => 'boolean', 'alone' => 'boolean'];
    }
}
