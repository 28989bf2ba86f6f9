<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A finding that may stay. */
final class Acceptance extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
