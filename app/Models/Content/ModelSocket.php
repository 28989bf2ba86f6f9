<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A socket of an equipment model. */
final class ModelSocket extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
