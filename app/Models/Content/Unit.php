<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A unit of a rig. */
final class Unit extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
