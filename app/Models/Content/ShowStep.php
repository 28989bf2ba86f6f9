<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A step of the run-down that somebody has written. */
final class ShowStep extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
