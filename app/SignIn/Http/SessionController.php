<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Data\Me;
use App\People\Models\Person;
use App\SignIn\Models\SecondFactor;
use Illuminate\Auth\SessionGuard;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final readonly class SessionController
{
    public function __construct(private SecondFactorFirst $secondFactor) {}

    #[OA\Get(path: '/api/session', operationId: 'me', tags: ['people'])]
    #[Ok(Me::class), Refused]
    public function show(Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->me($person, $request));
    }

    #[OA\Post(path: '/api/session', operationId: 'signIn', tags: ['people'])]
    #[Takes(Credentials::class), Ok(Me::class), Refused]
    public function store(Credentials $request): JsonResponse
    {
        $guard = self::guard();
        $login = $request->string('login')->toString();
        $password = $request->string('password')->toString();
        if (!$guard->validate(['login' => $login, 'password' => $password])) {
            if (Person::query()->where('login', $login)->where('active', true)->doesntExist()) {
                // As long as for a name that is known: nobody learns from the clock which names there are.
                Hash::check($password, Cache::rememberForever('password of nobody', static fn(): string => Hash::make(Str::random())));
            }
            throw ValidationException::withMessages(['password' => 'Sign-in name or password is wrong.']);
        }
        /** @var Person $person */
        $person = $guard->getLastAttempted();
        self::check(SecondFactor::ofPerson($person), $request->string('code')->toString());
        $guard->login($person);
        $request->session()->regenerate();
        SessionOfPassword::begin($request->session(), $person);

        return new JsonResponse($this->me($person, $request));
    }

    private function me(Person $person, Request $request): Me
    {
        return Me::of($person, $this->secondFactor->lacks($person, $request));
    }

    /** Asked once the password is right: nobody else learns who has one. */
    private static function check(?SecondFactor $factor, string $code): void
    {
        if ($factor === null) {
            return;
        }
        if ($code === '') {
            throw ValidationException::withMessages(['code' => 'Write the code that your authenticator shows.']);
        }
        if (!$factor->takes($code)) {
            throw ValidationException::withMessages([
                'code' => 'This code is wrong, or was used already. Write the one that is shown now.',
            ]);
        }
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

    private static function guard(): SessionGuard
    {
        $guard = Auth::guard('web');

        return $guard instanceof SessionGuard ? $guard : throw new \LogicException('People sign in by a session.');
    }
}
