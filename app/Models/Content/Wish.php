<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** What is wanted for a pair. */
final class Wish extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
