<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** An equipment model that a rig carries. */
final class EquipmentModel extends Model
{
    use IsContent;

    public $timestamps = false;

    protected $guarded = [];
}
