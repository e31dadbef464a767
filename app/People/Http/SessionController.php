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
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
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
        $guard = self::guard();
        if (!$guard->attempt(['login' => $request->string('login')->toString(), 'password' => $request->string('password')->toString()])) {
            if (
                !Person::query()
                    ->where('login', $request->string('login')->toString())
                    ->where('active', true)
                    ->exists()
            ) {
                // As long as for a name that is known: nobody learns from the clock which names there are.
                Hash::check(
                    $request->string('password')->toString(),
                    Cache::rememberForever('password of nobody', static fn(): string => Hash::make(Str::random())),
                );
            }
            throw ValidationException::withMessages(['password' => 'Sign-in name or password is wrong.']);
        }
        $request->session()->regenerate();
        /** @var Person $person */
        $person = $guard->user();

        SessionOfPassword::begin($request->session(), $person);

        return new JsonResponse(Me::of($person));
    }

    #[OA\Delete(path: '/api/session', operationId: 'signOut', tags: ['people'])]
    #[OA\Response(response: 204, description: 'Signed out.'), Refused]
    public function destroy(Request $request): JsonResponse
    {
        self::guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    private static function guard(): StatefulGuard
    {
        $guard = Auth::guard('web');

        return $guard instanceof StatefulGuard ? $guard : throw new \LogicException('People sign in by a session.');
    }
}
