<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** How a unit's point is set. */
final class UnitPointSetting extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
