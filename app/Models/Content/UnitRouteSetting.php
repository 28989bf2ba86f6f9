<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** How a unit's route is set. */
final class UnitRouteSetting extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
