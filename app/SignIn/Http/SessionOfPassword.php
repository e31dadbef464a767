<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\People\Models\Person;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session lasts as long as the password it was begun with: a new one ends all that others may have opened with the old. */
final readonly class SessionOfPassword
{
    private const KEY = 'signed_in_with';

    public static function begin(Session $session, Person $person): void
    {
        $session->put(self::KEY, self::mark($person));
    }

    public function handle(Request $request, \Closure $next): Response
    {
        $guard = Auth::guard('web');
        $person = $request->user();
        if (
            $guard instanceof SessionGuard &&
            $person instanceof Person &&
            $request->hasSession() &&
            $request->session()->has($guard->getName()) &&
            !hash_equals(self::mark($person), (string) $request->session()->get(self::KEY, ''))
        ) {
            $guard->logout();
            $request->session()->invalidate();
            throw new AuthenticationException();
        }

        return $next($request);
    }

    private static function mark(Person $person): string
    {
        return hash_hmac('sha256', $person->password, config()->string('app.key'));
    }
}
