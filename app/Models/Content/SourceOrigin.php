<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** Where a source begins. */
final class SourceOrigin extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
