<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A picture of how a unit is set, kept outside the web root under a name of our own.
 *
 * @property int $id
 * @property int $rig_id
 * @property string $unit
 * @property string $caption
 * @property string $file
 * @property int $width
 * @property int $height
 * @property Carbon $created_at
 */
final class Picture extends Model
{
    protected $table = 'pictures';

    public const UPDATED_AT = null;

    protected $fillable = ['unit', 'user_id', 'caption', 'file', 'width', 'height'];

    public function path(): string
    {
        return "pictures/{$this->rig_id}/{$this->file}.jpg";
    }
}
