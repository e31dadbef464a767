<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Done;
use App\Orders\Data\TaskWorkPage;
use App\Orders\Editing\TaskWork;
use App\Orders\Editing\TurnTask;
use App\People\Models\Person;
use App\Tasks\Models\ChangeTask;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What is edited under one task. */
final class TaskWorkController
{
    #[OA\Get(path: '/api/tasks/{number}/edits', operationId: 'taskEdits', tags: ['tasks'])]
    #[InPath('number'), Ok(TaskWorkPage::class), Refused]
    public function show(string $number, #[CurrentUser] Person $person, TaskWork $work): JsonResponse
    {
        return new JsonResponse($work->page($person, $number));
    }

    #[OA\Post(path: '/api/tasks/{number}/edits/undo', operationId: 'undoTaskEdits', tags: ['tasks'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function undo(string $number, #[CurrentUser] Person $person, TurnTask $action): JsonResponse
    {
        $action->back($person, $number);

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/edits/redo', operationId: 'redoTaskEdits', tags: ['tasks'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function redo(string $number, #[CurrentUser] Person $person, TurnTask $action): JsonResponse
    {
        $action->again($person, $number);

        return new JsonResponse(ChangeTask::done($number));
    }
}
