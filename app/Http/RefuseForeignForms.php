<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/**
 * The framework's CSRF check. A program that shows a bearer token sends no session cookie and needs no CSRF token:
 * another site cannot set that header without our leave, which we never give.
 */
final class RefuseForeignForms extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return $request->bearerToken() !== null || parent::inExceptArray($request);
    }
}
