<?php

declare(strict_types=1);

namespace App\Models\Content;

use App\Rigs\Tables\Tables;

/** Content of a rig: its columns follow from the description of the format. */
trait IsContent
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return Tables::byModel()[self::class]->casts();
    }
}
