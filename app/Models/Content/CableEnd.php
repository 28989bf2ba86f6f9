<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** One end of a cable, and the socket that it is in. */
final class CableEnd extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
