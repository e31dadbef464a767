<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/**
 * The framework's CSRF check. A program that shows a bearer token sends no session cookie and needs no CSRF token. Where there
 * is a session it counts, whatever else is sent, and so does its token.
 */
final class RefuseForeignForms extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return ($request->bearerToken() !== null && ! $request->cookies->has(config()->string('session.cookie'))) || parent::inExceptArray($request);
    }
}
