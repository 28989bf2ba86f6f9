<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A place of a rig. */
final class Place extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
