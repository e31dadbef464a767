<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\Proposals\ProposeLines;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Lines of a request as its author would have them; edited at the addresses of orders, by the number of the request. */
final readonly class ProposalController
{
    #[OA\Post(path: '/api/requests/{number}/proposal', operationId: 'proposeLines', tags: ['changes'])]
    #[InPath('number'), Takes(NewProposal::class), Ok(Done::class), Refused]
    public function open(string $number, NewProposal $request, #[CurrentUser] Person $person, ProposeLines $action): JsonResponse
    {
        $action->open($person, $number, $request->items());

        return new JsonResponse(ChangeRequest::done($number));
    }

    #[OA\Delete(path: '/api/requests/{number}/proposal', operationId: 'dropProposal', tags: ['changes'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function drop(string $number, #[CurrentUser] Person $person, ProposeLines $action): JsonResponse
    {
        $action->drop($person, $number);

        return new JsonResponse(ChangeRequest::done($number));
    }
}
