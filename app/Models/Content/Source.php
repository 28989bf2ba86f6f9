<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A sound of a rig. */
final class Source extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
