<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Manufacturing\Actions\EditBuilt;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use App\Vocabulary\ChoiceList;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** What an order does to what a plant builds of an item. */
final readonly class BuiltController
{
    public function __construct(private EditBuilt $edit) {}

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/taken-over', operationId: 'takeOver', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(TakeOverRequest::class), Ok(Done::class), Refused]
    public function takeOver(
        string $number,
        string $item,
        string $plant,
        TakeOverRequest $request,
        #[CurrentUser] Person $person,
    ): JsonResponse {
        return self::done(
            $this->edit->takeOver($person, $number, $item, self::known($plant), $request->lines(), $request->integer('seen')),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/records', operationId: 'recordLine', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(RecordRequest::class), Ok(Done::class), Refused]
    public function record(string $number, string $item, string $plant, RecordRequest $request, #[CurrentUser] Person $person): JsonResponse
    {
        return self::done(
            $this->edit->putOnRecord($person, $number, $item, self::known($plant), $request->edit(), $request->integer('seen')),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/undo', operationId: 'undoBuilt', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Ok(Done::class), Refused]
    public function undo(string $number, string $item, string $plant, #[CurrentUser] Person $person): JsonResponse
    {
        return self::done($this->edit->undo($person, $number, $item, self::known($plant)));
    }

    private static function done(WorkRecord $work): JsonResponse
    {
        return new JsonResponse(ChangeOrder::done($work->row->order->number));
    }

    private static function known(string $plant): string
    {
        return ChoiceList::Site->knows($plant) ? $plant : throw Refusal::at('plant', "There is no plant {$plant}.");
    }
}
