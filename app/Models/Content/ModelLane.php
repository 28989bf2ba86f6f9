<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A lane of a socket. */
final class ModelLane extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
