<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** Why something of a rig is as it is. */
final class Reason extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
