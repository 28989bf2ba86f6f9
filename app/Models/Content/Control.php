<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A thing that a hand moves, and what it moves. */
final class Control extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
