<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths\Http;

use App\Dossier\RequestPaths\ChooseRequestPath;
use App\Dossier\RequestPaths\JudgeRequest;
use App\Dossier\RequestPaths\SteerRequest;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Paths\Http\PathSteering;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** A request on its approval path. */
final readonly class RequestPathController
{
    #[OA\Put(path: '/api/requests/{number}/path', operationId: 'chooseRequestPath', tags: ['approvals'])]
    #[InPath('number'), Takes(RequestPathChoice::class), Ok(Done::class), Refused]
    public function choose(
        string $number,
        RequestPathChoice $request,
        #[CurrentUser] Person $person,
        ChooseRequestPath $action,
    ): JsonResponse {
        $action($person, $number, $request->path(), $request->integer('version'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/path/signature', operationId: 'signRequest', tags: ['approvals'])]
    #[InPath('number'), Takes(RequestSigning::class), Ok(Done::class), Refused]
    public function sign(string $number, RequestSigning $request, #[CurrentUser] Person $person, JudgeRequest $action): JsonResponse
    {
        $action->sign(
            $person,
            $number,
            password: $request->string('password')->toString(),
            digest: $request->string('digest')->toString(),
            step: $request->filled('step') ? $request->integer('step') : null,
            ticked: $request->checks(),
            reason: $request->string('reason')->trim()->toString(),
        );

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/path/sent-back', operationId: 'sendRequestBack', tags: ['approvals'])]
    #[InPath('number'), Takes(RequestSentBackTo::class), Ok(Done::class), Refused]
    public function sendBack(string $number, RequestSentBackTo $request, #[CurrentUser] Person $person, JudgeRequest $action): JsonResponse
    {
        $action->sendBack($person, $number, $request->string('reason')->trim()->toString(), $request->integer('stage'));

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/path/rejection', operationId: 'rejectRequest', tags: ['approvals'])]
    #[InPath('number'), Takes(RequestRejection::class), Ok(Done::class), Refused]
    public function reject(string $number, RequestRejection $request, #[CurrentUser] Person $person, JudgeRequest $action): JsonResponse
    {
        $action->reject($person, $number, $request->string('reason')->trim()->toString());

        return self::done($number);
    }

    #[OA\Post(path: '/api/requests/{number}/path', operationId: 'steerRequest', tags: ['approvals'])]
    #[InPath('number'), Takes(PathSteering::class), Ok(Done::class), Refused]
    public function steer(string $number, PathSteering $request, #[CurrentUser] Person $person, SteerRequest $action): JsonResponse
    {
        $action($person, $number, $request->integer('step'), $request->to(), $request->string('reason')->trim()->toString());

        return self::done($number);
    }

    private static function done(string $number): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($number));
    }
}
