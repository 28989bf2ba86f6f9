<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Rig;
use Illuminate\Http\Request;

/**
 * What tells an edit from all others, so that one that is sent again is not made again. The page's script gives each a number; of a plain
 * form it is the form's token, which is new in each page, with what was filled in.
 */
final class EditId
{
    /** @return string|null 32 hexadecimal digits; null where it has neither a number nor a token */
    public static function of(Request $request, Rig $rig): ?string
    {
        $given = $request->input('edit_id');
        $token = $request->input('_token');
        $sent = match (true) {
            is_string($given) && $given !== '' => $given,
            is_string($token) && $token !== '' => serialize($request->post()),
            default => null,
        };

        return $sent === null ? null : hash('xxh128', serialize([$request->user()?->id, $rig->id, $request->path(), $sent]));
    }
}
