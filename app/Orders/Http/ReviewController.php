<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\SignOrder;
use App\Orders\AtWork;
use App\Orders\ConsequenceReader;
use App\Orders\Data\AtWorkPage;
use App\Orders\Data\CheckRow;
use App\Orders\Data\Consequences;
use App\Orders\Data\DependencePage;
use App\Orders\Data\OrderData;
use App\Orders\Data\ReachOfItem;
use App\Orders\Data\Review;
use App\Orders\Dependences;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\OrderView;
use App\Orders\Paths\OrderProgress;
use App\Orders\RedlineReader;
use App\People\Models\Person;
use App\Requests\Data\RequestData;
use App\Requests\Http\SentBack;
use App\Structures\Models\Item;
use App\Structures\WhereUsedReader;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The one page that a reviewer reads, and what they do there. */
final readonly class ReviewController
{
    public function __construct(private JudgedOrders $orders, private ConsequenceReader $consequences) {}

    #[OA\Get(path: '/api/orders/{number}/review', operationId: 'review', tags: ['approvals'])]
    #[InPath('number'), Ok(Review::class), Refused]
    public function show(string $number, #[CurrentUser] Person $person, RedlineReader $redlines, WhereUsedReader $whereUsed): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $core = $this->orders->of($order);
        $order->requests->load(RequestData::RELATIONS);
        $maySign =
            OrderProgress::of($order, $core->proposers())->awaits($person->id) &&
            OrderPolicy::refusal(OrderAct::Sign, $person, $order) === null &&
            !in_array($person->id, $core->proposers(), true);

        return new JsonResponse(
            new Review(
                order: OrderData::of(
                    $order,
                    $core,
                    $person,
                    OrderView::items($order, $core),
                    array_map(CheckRow::of(...), OrderView::checks($core)),
                ),
                requests: $order->requests->map(RequestData::of(...))->values()->all(),
                redlines: $redlines->all($person, $order, $core),
                reach: $this->reach($order, $whereUsed),
                consequences: $this->consequences->read($order, $core),
                may_sign: $maySign,
                may_send_back: $order->state->isLocked() && OrderPolicy::refusal(OrderAct::SendBack, $person, $order) === null,
            ),
        );
    }

    #[OA\Get(path: '/api/orders/{number}/consequences', operationId: 'consequences', tags: ['changes'])]
    #[InPath('number'), Ok(Consequences::class), Refused]
    public function consequences(string $number): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        return new JsonResponse($this->consequences->read($order, $this->orders->of($order)));
    }

    #[OA\Get(path: '/api/orders/{number}/dependences', operationId: 'dependences', tags: ['changes'])]
    #[InPath('number'), Ok(DependencePage::class), Refused]
    public function dependences(string $number, Dependences $dependences): JsonResponse
    {
        return new JsonResponse($dependences->of(ChangeOrder::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Get(path: '/api/orders/{number}/at-work', operationId: 'atWork', tags: ['changes'])]
    #[InPath('number'), Ok(AtWorkPage::class), Refused]
    public function atWork(string $number, #[CurrentUser] Person $person, AtWork $reader): JsonResponse
    {
        return new JsonResponse($reader->of($person, ChangeOrder::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Post(path: '/api/orders/{number}/signature', operationId: 'signOrder', tags: ['approvals'])]
    #[InPath('number'), Takes(Signing::class), Ok(Done::class), Refused]
    public function sign(string $number, Signing $request, #[CurrentUser] Person $person, SignOrder $action): JsonResponse
    {
        $action->sign(
            $person,
            $number,
            $request->string('password')->toString(),
            $request->string('digest')->toString(),
            $request->filled('step') ? $request->integer('step') : null,
            array_values(array_filter((array) $request->validated('checks', []), is_string(...))),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/return', operationId: 'sendOrderBack', tags: ['approvals'])]
    #[InPath('number'), Takes(SentBack::class), Ok(Done::class), Refused]
    public function sendBack(string $number, SentBack $request, #[CurrentUser] Person $person, SignOrder $action): JsonResponse
    {
        $action->sendBack($person, $number, $request->string('reason')->toString(), $request->integer('stage'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    /** @return list<ReachOfItem> */
    private function reach(ChangeOrder $order, WhereUsedReader $whereUsed): array
    {
        /** @var list<Item> $items */
        $items = $order->items->map(static fn($row): Item => $row->item)->values()->all();
        $reach = [];
        foreach ($whereUsed->rowsOfAll($items, Today::day()) as $number => [$total, $rows]) {
            $reach[] = new ReachOfItem((string) $number, $total, $rows);
        }

        return $reach;
    }
}
