<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A program's choice of a device. */
final class Pick extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
