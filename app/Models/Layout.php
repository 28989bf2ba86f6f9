<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The positions on a rig's map at one depth, for the structure that it was laid out for.
 *
 * @property string $depth
 * @property string $structure
 * @property array<string, mixed> $geometry
 */
final class Layout extends Model
{
    protected $table = 'layouts';

    public const UPDATED_AT = null;

    protected $fillable = ['depth', 'structure', 'geometry'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['geometry' => 'array'];
    }
}
