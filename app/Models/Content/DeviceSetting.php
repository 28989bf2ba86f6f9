<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** The user's settings on a computer's device. */
final class DeviceSetting extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
