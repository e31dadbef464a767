<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\TurnOrder;
use App\Orders\Data\StrokeDone;
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
    #[InPath('number'), Ok(WorksheetPage::class), Refused]
    public function show(string $number, #[CurrentUser] Person $person, WorksheetReader $reader): JsonResponse
    {
        return new JsonResponse($reader->of($person, ChangeOrder::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Post(path: '/api/orders/{number}/worksheet', operationId: 'editWorksheet', tags: ['changes'])]
    #[InPath('number'), Takes(WorksheetEdits::class), Ok(StrokeDone::class), Refused]
    public function edit(string $number, WorksheetEdits $request, #[CurrentUser] Person $person, EditWorksheet $action): JsonResponse
    {
        $stroke = $action->make($person, $number, $request->edits($number), $request->seen($number));

        return new JsonResponse(StrokeDone::of($number, $stroke));
    }

    #[OA\Post(path: '/api/orders/{number}/undo', operationId: 'undoLast', tags: ['changes'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function undo(string $number, #[CurrentUser] Person $person, TurnOrder $action): JsonResponse
    {
        $action->undo($person, $number);

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/redo', operationId: 'redoLast', tags: ['changes'])]
    #[InPath('number'), Ok(Done::class), Refused]
    public function redo(string $number, #[CurrentUser] Person $person, TurnOrder $action): JsonResponse
    {
        $action->redo($person, $number);

        return new JsonResponse(ChangeOrder::done($number));
    }
}
