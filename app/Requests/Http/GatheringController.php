<?php

declare(strict_types=1);

namespace App\Requests\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Done;
use App\People\Models\Person;
use App\Problems\Models\ProblemReport;
use App\Requests\Actions\GatherReports;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** Which requests answer a report. */
final readonly class GatheringController
{
    #[OA\Put(path: '/api/reports/{number}/requests/{request}', operationId: 'gatherReport', tags: ['reports'])]
    #[InPath('number'), InPath('request'), Ok(Done::class), Refused]
    public function gather(string $number, string $request, #[CurrentUser] Person $person, GatherReports $action): JsonResponse
    {
        $into =
            ChangeRequest::query()->where('number', $request)->first() ?? throw Refusal::at('request', "There is no request {$request}.");
        if (!$into->state->isOpen()) {
            throw Refusal::at('request', "{$request} is closed; raise another request for it.");
        }
        $action->into($person, $into, [$number]);

        return new JsonResponse(ProblemReport::done($number));
    }

    #[OA\Delete(path: '/api/reports/{number}/requests/{request}', operationId: 'takeReportOff', tags: ['reports'])]
    #[InPath('number'), InPath('request'), Ok(Done::class), Refused]
    public function apart(string $number, string $request, #[CurrentUser] Person $person, GatherReports $action): JsonResponse
    {
        $action->apart($person, $number, $request);

        return new JsonResponse(ProblemReport::done($number));
    }
}
