<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** That one unit needs another. */
final class UnitNeed extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
