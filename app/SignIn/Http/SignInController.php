<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\People\Models\Person;
use App\SignIn\Data\SignInRow;
use App\SignIn\SignIns;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Where who is signed in is signed in. */
final readonly class SignInController
{
    public function __construct(private SignIns $signIns) {}

    #[OA\Get(path: '/api/session/sign-ins', operationId: 'signIns', tags: ['people'])]
    #[OkList(SignInRow::class), Refused]
    public function index(Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->signIns->of($person, $request->hasSession() ? $request->session()->getId() : null));
    }

    #[OA\Delete(path: '/api/session/sign-ins/{id}', operationId: 'endSignIn', tags: ['people'])]
    #[InPath('id'), OkList(SignInRow::class), Refused]
    public function end(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->signIns->end($person, $person, $id);

        return $this->index($request, $person);
    }
}
