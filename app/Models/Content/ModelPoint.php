<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A point of an equipment model. */
final class ModelPoint extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
