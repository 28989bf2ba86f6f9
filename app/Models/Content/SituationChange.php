<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** An override of a situation. */
final class SituationChange extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
