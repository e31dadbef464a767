<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\NameItems;
use App\Orders\Actions\SayWhatIsDone;
use App\Orders\Data\PulledItem;
use App\Orders\Models\ChangeOrder;
use App\Orders\PulledItems;
use App\Orders\Replacing\ReplacementReader;
use App\People\Models\Person;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Refusal;

/** Many items of an order at once. */
final readonly class OrderItemsController
{
    public function __construct(private NameItems $action) {}

    #[OA\Post(path: '/api/orders/{number}/items', operationId: 'nameItems', tags: ['changes'])]
    #[InPath('number'), Takes(OrderItemsRequest::class), Ok(Done::class), Refused]
    public function put(string $number, OrderItemsRequest $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->put(
            $person,
            $number,
            $request->items(),
            Outcome::tryFrom($request->string('outcome')->toString()),
            Disposition::tryFrom($request->string('disposition')->toString()),
            $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Put(path: '/api/orders/{number}/done', operationId: 'sayWhatIsDone', tags: ['changes'])]
    #[InPath('number'), Takes(DoneTexts::class), Ok(Done::class), Refused]
    public function say(string $number, DoneTexts $request, #[CurrentUser] Person $person, SayWhatIsDone $action): JsonResponse
    {
        $action($person, $number, $request->texts(), $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/items', operationId: 'takeItemsOff', tags: ['changes'])]
    #[InPath('number'), Takes(OrderItemsRequest::class), Ok(Done::class), Refused]
    public function takeOff(string $number, OrderItemsRequest $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->takeOff($person, $number, $request->items(), $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Get(path: '/api/orders/{number}/pulled-items', operationId: 'pulledItems', tags: ['changes'])]
    #[InPath('number'), InQuery('item'), InQuery('way'), InQuery('on'), InQuery('to'), OkList(PulledItem::class), Refused]
    public function pulled(string $number, Request $request, PulledItems $pulled): JsonResponse
    {
        $request->validate(
            ['item' => 'required|string|max:100', 'to' => 'string|max:100', 'way' => ['required', Rule::in(PulledItems::WAYS)]],
            ['item.required' => 'Choose an item.', 'way.in' => 'Say what to pull in.'],
        );
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $named = $request->string('item')->toString();
        $item = Item::query()->where('number', $named)->first() ?? throw Refusal::at('item', (new MistypedNumbers())->noSuchItem($named));
        /** @var value-of<PulledItems::WAYS> $way */
        $way = $request->string('way')->toString();

        $on = $request->string('on')->toString();
        $day = $on === '' ? ReplacementReader::effective($order) : Day::parse($on, 'on');

        return new JsonResponse($pulled->of($order, $item, $way, $day, $request->string('to')->trim()->toString()));
    }
}
