<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\SetPath;
use App\Orders\Actions\SteerPath;
use App\Orders\Data\ApprovalPathRow;
use App\Orders\Data\PathTrialPage;
use App\Orders\Models\ApprovalPath;
use App\Orders\Models\ChangeOrder;
use App\Orders\Paths\PathSteps;
use App\Orders\Paths\PathTrial;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** The paths on which orders are judged. */
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

    #[OA\Post(path: '/api/approval-paths/trial', operationId: 'tryPath', tags: ['approvals'])]
    #[Takes(PathTrialRequest::class), Ok(PathTrialPage::class), Refused]
    public function try(PathTrialRequest $request, PathTrial $trial): JsonResponse
    {
        $path = PathSteps::read($request->steps(), $request->tasks());
        $order = ChangeOrder::orders()->where('number', $request->string('order'))->first();

        return new JsonResponse($trial->of($path, $order ?? throw Refusal::at('order', 'There is no such order.')));
    }

    #[OA\Post(path: '/api/orders/{number}/path', operationId: 'steerPath', tags: ['approvals'])]
    #[InPath('number'), Takes(PathSteering::class), Ok(Done::class), Refused]
    public function steer(string $number, PathSteering $request, #[CurrentUser] Person $person, SteerPath $action): JsonResponse
    {
        $reason = $request->string('reason')->trim()->toString();
        $to = $request->to();
        if ($to === []) {
            $action->skip($person, $number, $request->integer('step'), $reason);
        } else {
            $action->give($person, $number, $request->integer('step'), $to, $reason);
        }

        return new JsonResponse(ChangeOrder::done($number));
    }
}
