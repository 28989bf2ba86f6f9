<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** Sound through the air. */
final class AirPath extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
