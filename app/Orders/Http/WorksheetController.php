<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Orders\Actions\TurnOrder;
use App\Orders\Data\StrokeDone;
use App\Orders\Data\Turned;
use App\Orders\Models\ChangeOrder;
use App\Orders\Worksheet\Data\WorksheetPage;
use App\Orders\Worksheet\EditWorksheet;
use App\Orders\Worksheet\WorksheetReader;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** All lines of an order in one table. */
final readonly class WorksheetController
{
    #[OA\Get(path: '/api/orders/{number}/worksheet', operationId: 'worksheet', tags: ['changes'])]
    #[InPath('number'), InQuery('from'), InQuery('items'), Ok(WorksheetPage::class), Refused]
    public function show(string $number, WorksheetQuery $asked, #[CurrentUser] Person $person, WorksheetReader $reader): JsonResponse
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        return new JsonResponse($reader->of($person, $order, $asked->part($order)));
    }

    #[OA\Post(path: '/api/orders/{number}/worksheet', operationId: 'editWorksheet', tags: ['changes'])]
    #[InPath('number'), Takes(WorksheetEdits::class), Ok(StrokeDone::class), Refused]
    public function edit(string $number, WorksheetEdits $request, #[CurrentUser] Person $person, EditWorksheet $action): JsonResponse
    {
        $stroke = $action->make($person, $number, $request->edits($number), $request->seen($number));

        return new JsonResponse(StrokeDone::of($number, $stroke));
    }

    #[OA\Post(path: '/api/orders/{number}/undo', operationId: 'undoLast', tags: ['changes'])]
    #[InPath('number'), Ok(Turned::class), Refused]
    public function undo(string $number, #[CurrentUser] Person $person, TurnOrder $action): JsonResponse
    {
        return new JsonResponse(Turned::of($number, $action->undo($person, $number)));
    }

    #[OA\Post(path: '/api/orders/{number}/redo', operationId: 'redoLast', tags: ['changes'])]
    #[InPath('number'), Ok(Turned::class), Refused]
    public function redo(string $number, #[CurrentUser] Person $person, TurnOrder $action): JsonResponse
    {
        return new JsonResponse(Turned::of($number, $action->redo($person, $number)));
    }
}
