<?php

declare(strict_types=1);

namespace App\Paths\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Paths\Actions\SetResponsible;
use App\Paths\Data\ResponsibleRow;
use App\Paths\ResponsibleReader;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Who owns the items of each category, and who plans each plant. */
final class ResponsibleController
{
    #[OA\Get(path: '/api/responsible', operationId: 'responsible', tags: ['approvals'])]
    #[OkList(ResponsibleRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(ResponsibleReader::all());
    }

    #[OA\Put(path: '/api/responsible/{field}/{code}', operationId: 'setResponsible', tags: ['approvals'])]
    #[InPath('field'), InPath('code'), Takes(ResponsibleRule::class), Ok(Done::class), Refused]
    public function set(
        string $field,
        string $code,
        ResponsibleRule $request,
        #[CurrentUser] Person $person,
        SetResponsible $action,
    ): JsonResponse {
        $action($person, $field, $code, $request->string('who')->toString());

        return new JsonResponse(new Done($code, 1));
    }
}
