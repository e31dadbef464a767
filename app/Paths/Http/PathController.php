<?php

declare(strict_types=1);

namespace App\Paths\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Paths\Actions\SetPath;
use App\Paths\Data\ApprovalPathRow;
use App\Paths\Models\ApprovalPath;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The paths on which changes are judged. */
final class PathController
{
    #[OA\Get(path: '/api/approval-paths', operationId: 'approvalPaths', tags: ['approvals'])]
    #[OkList(ApprovalPathRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(ApprovalPath::newest()->orderBy('name')->get()->map(ApprovalPathRow::of(...)));
    }

    #[OA\Put(path: '/api/approval-paths/{code}', operationId: 'setApprovalPath', tags: ['approvals'])]
    #[InPath('code'), Takes(PathRule::class), Ok(Done::class), Refused]
    public function set(string $code, PathRule $request, #[CurrentUser] Person $person, SetPath $action): JsonResponse
    {
        $path = $action($person, $code, $request->rule(), $request->filled('version') ? $request->integer('version') : null);

        return new JsonResponse(new Done($path->code, $path->version));
    }
}
