<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** What a rig relies on, and how sure it is. */
final class Fact extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
