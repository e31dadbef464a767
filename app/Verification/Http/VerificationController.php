<?php

declare(strict_types=1);

namespace App\Verification\Http;

use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Verification\Actions\AskVerification;
use App\Verification\Actions\CorrectPlanning;
use App\Verification\Actions\ResendHandovers;
use App\Verification\Data\DifferencePage;
use App\Verification\Data\HandoverHealth;
use App\Verification\HandoverHealthReader;
use App\Verification\Models\Verification;
use App\Verification\Models\VerificationState;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** All that is handed over to planning, and what planning has of it. */
final class VerificationController
{
    #[OA\Get(path: '/api/hand-overs', operationId: 'handoverHealth', tags: ['releases'])]
    #[Ok(HandoverHealth::class)]
    public function health(#[CurrentUser] Person $person, HandoverHealthReader $reader): JsonResponse
    {
        return new JsonResponse($reader->health($person));
    }

    #[OA\Get(path: '/api/hand-overs/differences', operationId: 'planningDifferences', tags: ['releases'])]
    #[InQuery('order'), InQuery('item'), InQuery('mover'), InQuery('from'), Ok(DifferencePage::class), Refused]
    public function differences(Request $request, HandoverHealthReader $reader): JsonResponse
    {
        $asked = $request->validate([
            'order' => 'nullable|string|max:40',
            'item' => 'nullable|string|max:60',
            'mover' => 'nullable|in:there,never,here',
            'from' => 'nullable|integer|min:0|max:10000000',
        ]);

        /** @var array{order?: string, item?: string, mover?: string} $asked */
        return new JsonResponse($reader->differences($asked, $request->integer('from')));
    }

    #[OA\Post(path: '/api/hand-overs/deliveries', operationId: 'resendHandovers', tags: ['releases'])]
    #[Takes(HandoverNames::class), Ok(Done::class), Refused]
    public function resend(HandoverNames $request, #[CurrentUser] Person $person, ResendHandovers $action): JsonResponse
    {
        $action($person, $request->names());

        return self::done();
    }

    #[OA\Post(path: '/api/hand-overs/corrections', operationId: 'correctPlanning', tags: ['releases'])]
    #[Takes(DifferenceIds::class), Ok(Done::class), Refused]
    public function correct(DifferenceIds $request, #[CurrentUser] Person $person, CorrectPlanning $action): JsonResponse
    {
        $action($person, $request->ids());

        return self::done();
    }

    #[OA\Post(path: '/api/hand-overs/verification', operationId: 'verifyPlanning', tags: ['releases'])]
    #[Ok(Done::class), Refused]
    public function verify(#[CurrentUser] Person $person, AskVerification $action): JsonResponse
    {
        $action->everything($person);

        return self::done();
    }

    #[OA\Delete(path: '/api/hand-overs/verification', operationId: 'cancelVerification', tags: ['releases'])]
    #[Ok(Done::class)]
    public function cancel(): JsonResponse
    {
        Verification::query()
            ->whereNull('items')
            ->whereIn('state', [VerificationState::Waiting, VerificationState::Running])
            ->update(['state' => VerificationState::Cancelled, 'ended_at' => CarbonImmutable::now()]);

        return self::done();
    }

    private static function done(): JsonResponse
    {
        return new JsonResponse(new Done('planning', 0));
    }
}
