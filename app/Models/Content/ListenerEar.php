<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** Where a listener is. */
final class ListenerEar extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
