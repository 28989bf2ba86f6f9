<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A listener of a rig. */
final class Listener extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
