<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Tasks\Actions\MakeTasks;
use App\Tasks\Actions\MoveTask;
use App\Tasks\Actions\PlanTask;
use App\Tasks\Actions\WorkOnTask;
use App\Tasks\Assignee;
use App\Tasks\ChangesOfTasks;
use App\Tasks\Data\TaskPage;
use App\Tasks\Data\TaskRow;
use App\Tasks\Models\ChangeTask;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What is to be done for a change, and by whom. */
final readonly class TaskController
{
    public function __construct(private ChangesOfTasks $changes) {}

    #[OA\Get(path: '/api/changes/{number}/tasks', operationId: 'tasks', tags: ['tasks'])]
    #[InPath('number'), OkList(TaskRow::class), Refused]
    public function index(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        $this->changes->title($number);

        return new JsonResponse(
            ChangeTask::whole()
                ->where('change', $number)
                ->orderBy('id')
                ->get()
                ->map(static fn(ChangeTask $task): TaskRow => TaskRow::of($task, $person)),
        );
    }

    #[OA\Post(path: '/api/changes/{number}/tasks', operationId: 'makeTask', tags: ['tasks'])]
    #[InPath('number'), Takes(NewTask::class), Ok(Done::class), Refused]
    public function make(string $number, NewTask $request, #[CurrentUser] Person $person, MakeTasks $action): JsonResponse
    {
        $made = $action($person, $number, [$request->planned()]);

        return new JsonResponse(ChangeTask::done($made[0] ?? throw new \LogicException('A task without a source is always made.')));
    }

    #[OA\Get(path: '/api/tasks/{number}', operationId: 'task', tags: ['tasks'])]
    #[InPath('number'), Ok(TaskPage::class), Refused]
    public function show(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        $change = (string) ChangeTask::query()->where('number', $number)->valueOrFail('change');
        $all = ChangeTask::whole()->where('change', $change)->orderBy('id')->get();

        return new JsonResponse(TaskPage::of($number, $all, $this->changes, $person));
    }

    #[OA\Patch(path: '/api/tasks/{number}', operationId: 'planTask', tags: ['tasks'])]
    #[InPath('number'), Takes(TaskPlan::class), Ok(Done::class), Refused]
    public function plan(string $number, TaskPlan $request, #[CurrentUser] Person $person, PlanTask $action): JsonResponse
    {
        $request->plan($action, $person, $number);

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/claim', operationId: 'claimTask', tags: ['tasks'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function claim(string $number, #[CurrentUser] Person $person, MoveTask $action): JsonResponse
    {
        $action->claim($person, $number);

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/hand-back', operationId: 'handBackTask', tags: ['tasks'])]
    #[InPath('number'), Takes(TaskWord::class), Ok(Done::class), Refused]
    public function handBack(string $number, TaskWord $request, #[CurrentUser] Person $person, MoveTask $action): JsonResponse
    {
        $action->handBack($person, $number, $request->said());

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/hand-on', operationId: 'handOnTask', tags: ['tasks'])]
    #[InPath('number'), Takes(TaskWord::class), Ok(Done::class), Refused]
    public function handOn(string $number, TaskWord $request, #[CurrentUser] Person $person, MoveTask $action): JsonResponse
    {
        $action->handOn($person, $number, Assignee::named($request->string('to')->toString()), $request->said());

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/done', operationId: 'finishTask', tags: ['tasks'])]
    #[InPath('number'), Takes(TaskWord::class), Ok(Done::class), Refused]
    public function finish(string $number, TaskWord $request, #[CurrentUser] Person $person, MoveTask $action): JsonResponse
    {
        $action->finish($person, $number, $request->said());

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/withdrawal', operationId: 'withdrawTask', tags: ['tasks'])]
    #[InPath('number'), Takes(TaskWord::class), Ok(Done::class), Refused]
    public function withdraw(string $number, TaskWord $request, #[CurrentUser] Person $person, MoveTask $action): JsonResponse
    {
        $action->withdraw($person, $number, $request->said());

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/reopening', operationId: 'reopenTask', tags: ['tasks'])]
    #[InPath('number'), Takes(TaskWord::class), Ok(Done::class), Refused]
    public function reopen(string $number, TaskWord $request, #[CurrentUser] Person $person, MoveTask $action): JsonResponse
    {
        $action->reopen($person, $number, $request->said());

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Put(path: '/api/tasks/{number}/checks/{place}', operationId: 'tickTask', tags: ['tasks'])]
    #[InPath('number'), InPath('place'), Takes(TaskTick::class), Ok(Done::class), Refused]
    public function tick(string $number, int $place, TaskTick $request, #[CurrentUser] Person $person, WorkOnTask $action): JsonResponse
    {
        $action->tick($person, $number, $place, $request->boolean('ticked'));

        return new JsonResponse(ChangeTask::done($number));
    }

    #[OA\Post(path: '/api/tasks/{number}/comments', operationId: 'commentOnTask', tags: ['tasks'])]
    #[InPath('number'), Takes(NewTaskComment::class), Ok(Done::class), Refused]
    public function comment(string $number, NewTaskComment $request, #[CurrentUser] Person $person, WorkOnTask $action): JsonResponse
    {
        $action->comment($person, $number, $request->string('text')->trim()->toString(), $request->broughtFiles());

        return new JsonResponse(ChangeTask::done($number));
    }
}
