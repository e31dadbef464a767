<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Data\Me;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController
{
    #[OA\Get(path: '/api/session', operationId: 'me', tags: ['people'])]
    #[Ok(Me::class), Refused]
    public function show(#[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(Me::of($person));
    }

    #[OA\Post(path: '/api/session', operationId: 'signIn', tags: ['people'])]
    #[Takes(SignIn::class), Ok(Me::class), Refused]
    public function store(SignIn $request): JsonResponse
    {
        if (! Auth::attempt([...$request->safe(['login', 'password']), 'active' => true])) {
            throw ValidationException::withMessages(['password' => 'Sign-in name or password is wrong.']);
        }
        $request->session()->regenerate();
        /** @var Person $person */
        $person = Auth::user();

        return new JsonResponse(Me::of($person));
    }

    #[OA\Delete(path: '/api/session', operationId: 'signOut', tags: ['people'])]
    #[OA\Response(response: 204, description: 'Signed out.'), Refused]
    public function destroy(Request $request): JsonResponse
    {
        $guard = Auth::guard('web');
        if ($guard instanceof StatefulGuard) {
            $guard->logout();
        }
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }
}
