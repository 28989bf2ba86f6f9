<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A listener that has to hear the balance of another. */
final class Balance extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
