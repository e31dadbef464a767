<?php

declare(strict_types=1);

namespace App\ChangeNotices\Http;

use App\ChangeNotices\Actions\SetDistributionList;
use App\ChangeNotices\Data\DistributionListRow;
use App\ChangeNotices\Models\DistributionList;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** To whom notices of which changes go. */
final class DistributionListController
{
    #[OA\Get(path: '/api/distribution-lists', operationId: 'distributionLists', tags: ['notices'])]
    #[OkList(DistributionListRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(DistributionList::query()->orderBy('name')->get()->map(DistributionListRow::of(...)));
    }

    #[OA\Put(path: '/api/distribution-lists/{code}', operationId: 'setDistributionList', tags: ['notices'])]
    #[InPath('code'), Takes(DistributionRule::class), Ok(Done::class), Refused]
    public function set(string $code, DistributionRule $request, #[CurrentUser] Person $person, SetDistributionList $action): JsonResponse
    {
        $list = $action->set($person, $code, $request->said(), $request->filled('version') ? $request->integer('version') : null);

        return new JsonResponse(new Done($list->code, $list->version));
    }
}
