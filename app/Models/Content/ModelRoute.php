<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A route of an equipment model. */
final class ModelRoute extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
