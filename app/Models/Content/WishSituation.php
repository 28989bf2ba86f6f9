<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A situation in which a wish holds. */
final class WishSituation extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
