<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** What was measured of a thing in a rig, or is wanted of it. */
final class Measure extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
