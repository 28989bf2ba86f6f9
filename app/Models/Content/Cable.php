<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A cable of a rig. */
final class Cable extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
