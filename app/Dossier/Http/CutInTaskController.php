<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\Tasks\MakeCutInTasks;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Tasks of a chosen cut-in day. */
final class CutInTaskController
{
    #[OA\Post(path: '/api/changes/{number}/tasks/cut-in', operationId: 'makeCutInTasks', tags: ['tasks'])]
    #[InPath('number'), Takes(CutInTasks::class), Ok(Done::class), Refused]
    public function __invoke(string $number, CutInTasks $request, #[CurrentUser] Person $person, MakeCutInTasks $action): JsonResponse
    {
        $made = $action($person, $number, $request->integer('cut_in'), $request->assignees());

        return new JsonResponse(new Done($number, count($made)));
    }
}
