<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A situation of a rig. */
final class Situation extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
