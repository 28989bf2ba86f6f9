<?php

declare(strict_types=1);

namespace App\Models\Content;

use Illuminate\Database\Eloquent\Model;

/** A socket of an equipment model. */
final class ModelSocket extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'balanced' => 'boolean',
            'isolated' => 'boolean',
            'nominal_dbu' => 'float',
            'max_dbu' => 'float',
            'impedance_ohm' => 'float',
            'ein_dbu' => 'float',
            'rates_hz' => 'array',
        ];
    }
}
