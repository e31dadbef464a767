<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;

/**
 * The framework's CSRF check. A program that shows a bearer token sends no session cookie and needs no CSRF token. Where there is a
 * session it counts, whatever else is sent, and so does its token. Whoever signs in, or has forgotten their password, has no session
 * yet: a page of ours sends JSON, which no form can, and no page of others may without asking first.
 */
final class RefuseForeignForms extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return ($request->bearerToken() !== null && !$request->cookies->has(config()->string('session.cookie'))) ||
            self::isOurSignIn($request) ||
            parent::inExceptArray($request);
    }

    private static function isOurSignIn(Request $request): bool
    {
        $origin = $request->headers->get('Origin');

        return $request->isMethod('POST') &&
            $request->is('api/session', 'api/password-link', 'api/password') &&
            $request->isJson() &&
            in_array($request->headers->get('Sec-Fetch-Site'), [null, 'same-origin', 'none'], true) &&
            // Web servers may leave out the port; where browsers tell of it, Sec-Fetch-Site did.
            ($origin === null || parse_url($origin, PHP_URL_HOST) === $request->getHost());
    }
}
