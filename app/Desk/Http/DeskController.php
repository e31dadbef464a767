<?php

declare(strict_types=1);

namespace App\Desk\Http;

use App\Desk\Data\DeskPage;
use App\Desk\DeskReader;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class DeskController
{
    #[OA\Get(path: '/api/desk', operationId: 'desk', tags: ['desk'])]
    #[Ok(DeskPage::class), Refused]
    public function show(#[CurrentUser] Person $person, DeskReader $desk): JsonResponse
    {
        return new JsonResponse($desk->read($person));
    }
}
