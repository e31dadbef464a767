<?php

declare(strict_types=1);

namespace App\Requests\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\People\Models\Person;
use App\Requests\Actions\AnswerRequest;
use App\Requests\Actions\AssessRequest;
use App\Requests\Actions\DecideRequest;
use App\Requests\Actions\GatherRequests;
use App\Requests\Actions\RaiseRequest;
use App\Requests\Actions\SplitRequest;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\RequestState;

/** A change request, until it is decided and turned into an order. */
final readonly class RequestController
{
    #[OA\Post(path: '/api/requests', operationId: 'raiseRequest', tags: ['changes'])]
    #[Takes(NewRequest::class), Ok(Done::class), Refused]
    public function store(NewRequest $request, #[CurrentUser] Person $person, RaiseRequest $action): JsonResponse
    {
        /** @var array{title: string, reason: string, source: string, site: string, priority: string, description: string} $fields */
        $fields = $request->safe(['title', 'reason', 'source', 'site', 'priority', 'description']);
        /** @var list<string> $items */
        $items = $request->validated('items');

        /** @var list<string> $reports */
        $reports = $request->validated('reports') ?? [];

        return self::done($action->raise($person, $fields, $items, $reports)->number);
    }

    #[OA\Post(path: '/api/requests/{number}/answer', operationId: 'answerRequest', tags: ['changes'])]
    #[InPath('number'), Takes(Answer::class), Ok(Done::class), Refused]
    public function answer(string $number, Answer $request, #[CurrentUser] Person $person, AnswerRequest $action): JsonResponse
    {
        $action->answer($person, $number, $request->string('answer')->toString(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/finding', operationId: 'recordFinding', tags: ['changes'])]
    #[InPath('number'), Takes(Finding::class), Ok(Done::class), Refused]
    public function assess(string $number, Finding $request, #[CurrentUser] Person $person, AssessRequest $action): JsonResponse
    {
        $action->assess($person, $number, $request->string('finding')->toString(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/decision', operationId: 'decideRequest', tags: ['changes'])]
    #[InPath('number'), Takes(Decision::class), Ok(Done::class), Refused]
    public function decide(string $number, Decision $request, #[CurrentUser] Person $person, DecideRequest $action): JsonResponse
    {
        $action->decide(
            $person,
            $number,
            RequestState::from($request->string('decision')->toString()),
            $request->string('reason')->toString(),
            $request->integer('version'),
        );

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/gathering', operationId: 'gatherRequests', tags: ['changes'])]
    #[InPath('number'), Takes(Gathering::class), Ok(Done::class), Refused]
    public function gather(string $number, Gathering $request, #[CurrentUser] Person $person, GatherRequests $action): JsonResponse
    {
        $action->into($person, $number, $request->requests(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/apart', operationId: 'takeRequestApart', tags: ['changes'])]
    #[InPath('number'), Takes(Version::class), Ok(Done::class), Refused]
    public function apart(string $number, Version $request, #[CurrentUser] Person $person, GatherRequests $action): JsonResponse
    {
        $action->apart($person, $number, $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/split', operationId: 'splitRequest', tags: ['changes'])]
    #[InPath('number'), Takes(Splitting::class), Ok(Done::class), Refused]
    public function split(string $number, Splitting $request, #[CurrentUser] Person $person, SplitRequest $action): JsonResponse
    {
        return self::done(
            $action(
                $person,
                $number,
                $request->string('title')->toString(),
                $request->items(),
                $request->reports(),
                $request->integer('version'),
            )->number,
        );
    }

    private static function done(string $number): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($number));
    }
}
