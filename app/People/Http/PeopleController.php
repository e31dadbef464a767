<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\People\Data\PersonRow;
use App\People\Models\Person;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PeopleController
{
    #[OA\Get(path: '/api/people', operationId: 'people', tags: ['people'])]
    #[OkList(PersonRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(Person::query()->where('active', true)->orderBy('name')->get()->map(PersonRow::of(...)));
    }
}
