<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use App\SignIn\Actions\IssueToken;
use App\SignIn\Data\NewToken;
use App\SignIn\Data\TokenRow;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Tokens of programs that act for who is signed in. */
final readonly class TokenController
{
    public function __construct(private IssueToken $tokens) {}

    #[OA\Get(path: '/api/session/tokens', operationId: 'tokens', tags: ['people'])]
    #[OkList(TokenRow::class), Refused]
    public function index(#[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($person->tokens()->orderByDesc('id')->get()->map(TokenRow::of(...)));
    }

    #[OA\Post(path: '/api/session/tokens', operationId: 'issueToken', tags: ['people'])]
    #[Takes(NewTokenRule::class), Ok(NewToken::class), Refused]
    public function issue(NewTokenRule $request, #[CurrentUser] Person $person): JsonResponse
    {
        $name = $request->string('name')->trim()->toString();

        return new JsonResponse(new NewToken($this->tokens->issue($person, $name, $request->scopes(), $request->integer('days'))));
    }

    #[OA\Delete(path: '/api/session/tokens/{id}', operationId: 'withdrawToken', tags: ['people'])]
    #[InPath('id'), OkList(TokenRow::class), Refused]
    public function withdraw(string $id, #[CurrentUser] Person $person): JsonResponse
    {
        $this->tokens->withdraw($person, $person, (int) $id);

        return $this->index($person);
    }
}
