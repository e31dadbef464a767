<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\People\Models\Person;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\Request;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/** How somebody signs in is theirs to set, by themselves; a program with a token of theirs could give itself more than it was given. */
final readonly class OnlyInSession
{
    public function handle(Request $request, \Closure $next): Response
    {
        $person = $request->user();
        if ($person instanceof Person && $person->currentAccessToken() instanceof PersonalAccessToken) {
            throw new AuthorizationException();
        }

        return $next($request);
    }
}
