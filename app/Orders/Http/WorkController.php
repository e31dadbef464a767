<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\KeepIteration;
use App\Orders\Actions\MergeNewer;
use App\Orders\Actions\TurnWork;
use App\Orders\Data\NewerPage;
use App\Orders\Models\ChangeOrder;
use App\Orders\NewerReader;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What can be done to the work on any subject of an item: "engineering", "manufacturing:Weir", "item_data". */
final class WorkController
{
    #[OA\Post(path: '/api/orders/{number}/items/{item}/works/{work}/undo', operationId: 'undoWork', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('work'), Ok(Done::class), Refused]
    public function undo(string $number, string $item, string $work, #[CurrentUser] Person $person, TurnWork $action): JsonResponse
    {
        $action->undo($person, NamedWork::of($number, $item, $work));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/works/{work}/redo', operationId: 'redoWork', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('work'), Ok(Done::class), Refused]
    public function redo(string $number, string $item, string $work, #[CurrentUser] Person $person, TurnWork $action): JsonResponse
    {
        $action->redo($person, NamedWork::of($number, $item, $work));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/works/{work}/iterations', operationId: 'keepIteration', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('work'), Takes(KeptWork::class), Ok(Done::class), Refused]
    public function keep(
        string $number,
        string $item,
        string $work,
        KeptWork $request,
        #[CurrentUser] Person $person,
        KeepIteration $action,
    ): JsonResponse {
        $action->keep($person, NamedWork::of($number, $item, $work), $request->string('note')->trim()->toString());

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[
        OA\Post(
            path: '/api/orders/{number}/items/{item}/works/{work}/iterations/{iteration}/return',
            operationId: 'goBackToIteration',
            tags: ['changes'],
        ),
    ]
    #[InPath('number'), InPath('item'), InPath('work'), InPath('iteration'), Takes(Seen::class), Ok(Done::class), Refused]
    public function goBack(
        string $number,
        string $item,
        string $work,
        string $iteration,
        Seen $request,
        #[CurrentUser] Person $person,
        KeepIteration $action,
    ): JsonResponse {
        $action->goBack($person, NamedWork::of($number, $item, $work), (int) $iteration, $request->integer('seen'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Get(path: '/api/orders/{number}/items/{item}/works/{work}/newer', operationId: 'newer', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('work'), Ok(NewerPage::class), Refused]
    public function newer(string $number, string $item, string $work, NewerReader $reader): JsonResponse
    {
        return new JsonResponse($reader->read(NamedWork::of($number, $item, $work)));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/works/{work}/newer', operationId: 'bringInNewer', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('work'), Takes(Chosen::class), Ok(Done::class), Refused]
    public function merge(
        string $number,
        string $item,
        string $work,
        Chosen $request,
        #[CurrentUser] Person $person,
        MergeNewer $action,
    ): JsonResponse {
        $action->merge($person, NamedWork::of($number, $item, $work), $request->choices());

        return new JsonResponse(ChangeOrder::done($number));
    }
}
