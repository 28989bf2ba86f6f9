<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\FormToken;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** Pages send the token that is in them: a cookie with it, of a name that two copies on one machine would share, is not needed. */
final class CsrfToken extends ValidateCsrfToken
{
    protected $addHttpCookie = false;

    /** {@inheritDoc} */
    protected function getTokenFromRequest($request): ?string
    {
        $sent = parent::getTokenFromRequest($request);

        return is_string($sent) ? FormToken::bare($sent) : null;
    }
}
