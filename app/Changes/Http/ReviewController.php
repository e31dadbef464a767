<?php

declare(strict_types=1);

namespace App\Changes\Http;

use App\Changes\Actions\SignOrder;
use App\Changes\ConsequenceReader;
use App\Changes\Data\CheckRow;
use App\Changes\Data\Consequences;
use App\Changes\Data\Dossier;
use App\Changes\Data\OrderData;
use App\Changes\Data\ReachOfItem;
use App\Changes\Data\RequestData;
use App\Changes\Data\Review;
use App\Changes\DossierReader;
use App\Changes\Models\ChangeOrder;
use App\Changes\OrderAct;
use App\Changes\OrderPolicy;
use App\Changes\OrderReader;
use App\Changes\RedlineReader;
use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use App\Structures\Models\Item;
use App\Structures\WhereUsedReader;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\OrderState;

/** The one page that a reviewer reads, and what they do there. */
final readonly class ReviewController
{
    public function __construct(private OrderReader $orders, private ConsequenceReader $consequences) {}

    #[OA\Get(path: '/api/orders/{number}/review', operationId: 'review', tags: ['approvals'])]
    #[InPath('number'), Ok(Review::class), Refused]
    public function show(string $number, #[CurrentUser] Person $person, RedlineReader $redlines, WhereUsedReader $whereUsed): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $core = $this->orders->toCore($order);
        $order->requests->load(RequestData::RELATIONS);
        $maySign = $order->state === OrderState::InReview && OrderPolicy::refusal(OrderAct::Sign, $person, $order) === null && ! in_array($person->id, $core->proposers(), true);

        return new JsonResponse(new Review(
            OrderData::of($order, $core, $person, DossierReader::items($order, $core), array_map(CheckRow::of(...), DossierReader::checks($core))),
            $order->requests->map(RequestData::of(...))->values()->all(),
            $redlines->all($person, $order, $core),
            $this->reach($order, $whereUsed),
            $this->consequences->read($order, $core),
            $maySign,
            ($order->state === OrderState::InReview || $order->state === OrderState::Signed) && OrderPolicy::refusal(OrderAct::SendBack, $person, $order) === null,
        ));
    }

    #[OA\Get(path: '/api/orders/{number}/consequences', operationId: 'consequences', tags: ['changes'])]
    #[InPath('number'), Ok(Consequences::class), Refused]
    public function consequences(string $number): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        return new JsonResponse($this->consequences->read($order, $this->orders->toCore($order)));
    }

    #[OA\Post(path: '/api/orders/{number}/signature', operationId: 'signOrder', tags: ['approvals'])]
    #[InPath('number'), Takes(Signing::class), Ok(Dossier::class), Refused]
    public function sign(string $number, Signing $request, #[CurrentUser] Person $person, SignOrder $action, DossierReader $dossiers): JsonResponse
    {
        $action->sign($person, $number, $request->string('password')->toString(), $request->string('digest')->toString());

        return new JsonResponse($dossiers->read($number));
    }

    #[OA\Post(path: '/api/orders/{number}/return', operationId: 'sendOrderBack', tags: ['approvals'])]
    #[InPath('number'), Takes(SentBack::class), Ok(Dossier::class), Refused]
    public function sendBack(string $number, SentBack $request, #[CurrentUser] Person $person, SignOrder $action, DossierReader $dossiers): JsonResponse
    {
        $action->sendBack($person, $number, $request->string('reason')->toString());

        return new JsonResponse($dossiers->read($number));
    }

    /** @return list<ReachOfItem> */
    private function reach(ChangeOrder $order, WhereUsedReader $whereUsed): array
    {
        /** @var list<Item> $items */
        $items = $order->items->map(static fn ($row): Item => $row->item)->values()->all();
        $reach = [];
        foreach ($whereUsed->rowsOfAll($items, Today::day()) as $number => [$total, $rows]) {
            $reach[] = new ReachOfItem((string) $number, $total, $rows);
        }

        return $reach;
    }
}
