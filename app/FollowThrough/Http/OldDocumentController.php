<?php

declare(strict_types=1);

namespace App\FollowThrough\Http;

use App\FollowThrough\Actions\SeeToDocuments;
use App\FollowThrough\Actions\TellPlanning;
use App\FollowThrough\Data\OldDocumentPage;
use App\FollowThrough\Jobs\FollowOrder;
use App\FollowThrough\OldDocumentList;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\FollowThrough\Way;
use Orthotaxis\Core\Refusal;

/** Stock and open documents in planning that name what a released order replaced. */
final class OldDocumentController
{
    #[OA\Get(path: '/api/orders/{number}/old-documents', operationId: 'oldDocuments', tags: ['releases'])]
    #[
        InPath('number'),
        InQuery('state'),
        InQuery('item'),
        InQuery('kind'),
        InQuery('owner'),
        InQuery('from'),
        Ok(OldDocumentPage::class),
        Refused,
    ]
    public function index(string $number, Request $request, #[CurrentUser] Person $person, OldDocumentList $list): JsonResponse
    {
        $asked = $request->validate([
            'state' => 'nullable|in:all,open,decided,seen,holding',
            'item' => 'nullable|string|max:40',
            'kind' => 'nullable|string|max:30',
            'owner' => 'nullable|string|max:60',
            'from' => 'nullable|integer|min:0|max:10000000',
        ]);
        $text = static fn(string $name): string => is_string($asked[$name] ?? null) ? $asked[$name] : '';

        return new JsonResponse(
            $list->read(
                $person,
                ChangeOrder::query()->where('number', $number)->firstOrFail(),
                [
                    'state' => $text('state') === 'all' ? '' : ($text('state') === '' ? 'holding' : $text('state')),
                    'item' => $text('item'),
                    'kind' => $text('kind'),
                    'owner' => $text('owner'),
                ],
                $request->integer('from'),
            ),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/old-documents/reading', operationId: 'readOldDocuments', tags: ['releases'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function read(string $number): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        if ($order->state !== OrderState::Released) {
            throw Refusal::at('order', "{$number} is not being followed through.");
        }
        FollowOrder::of($order->id);

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/old-documents/decision', operationId: 'decideOldDocuments', tags: ['releases'])]
    #[InPath('number'), Takes(DocumentDecision::class), Ok(Done::class), Refused]
    public function decide(string $number, DocumentDecision $request, #[CurrentUser] Person $person, SeeToDocuments $action): JsonResponse
    {
        $action->decide(
            $person,
            $number,
            ids: $request->ids(),
            way: Way::tryFrom($request->string('way')->toString()),
            asProposed: $request->boolean('as_proposed'),
            owner: $request->filled('owner') ? $request->string('owner')->toString() : null,
            due: $request->due(),
            note: $request->string('note')->trim()->toString(),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/old-documents/message', operationId: 'tellPlanningOfDocuments', tags: ['releases'])]
    #[InPath('number'), Takes(ChosenDocuments::class), Ok(Done::class), Refused]
    public function tell(string $number, ChosenDocuments $request, #[CurrentUser] Person $person, TellPlanning $action): JsonResponse
    {
        $action($person, $number, $request->ids());

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/old-documents/seen', operationId: 'seeToOldDocuments', tags: ['releases'])]
    #[InPath('number'), Takes(SeenDocuments::class), Ok(Done::class), Refused]
    public function seen(string $number, SeenDocuments $request, #[CurrentUser] Person $person, SeeToDocuments $action): JsonResponse
    {
        $request->boolean('seen')
            ? $action->seeTo($person, $number, $request->ids(), $request->string('reason')->trim()->toString())
            : $action->reopen($person, $number, $request->ids());

        return new JsonResponse(ChangeOrder::done($number));
    }
}
