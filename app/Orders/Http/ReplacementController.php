<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\TurnWork;
use App\Orders\Data\StrokeDone;
use App\Orders\Models\ChangeOrder;
use App\Orders\Replacing\AskedReplacement;
use App\Orders\Replacing\Data\ReplacementPage;
use App\Orders\Replacing\ReplaceComponent;
use App\Orders\Replacing\ReplacementReader;
use App\Orders\Replacing\UseFilter;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** A component replaced wherever it is used, under an order: seen first, then done. */
final readonly class ReplacementController
{
    #[OA\Get(path: '/api/orders/{number}/replacement', operationId: 'replacement', tags: ['changes'])]
    #[InPath('number'), InQuery('old'), InQuery('new'), InQuery('from'), InQuery('product'), InQuery('category'), InQuery('work')]
    #[Ok(ReplacementPage::class), Refused]
    public function show(string $number, Request $request, #[CurrentUser] Person $person, ReplacementReader $reader): JsonResponse
    {
        $request->validate(
            [
                'old' => 'required|string|max:100',
                'new' => 'nullable|string|max:4000',
                'from' => 'nullable|date_format:Y-m-d',
                'product' => 'nullable|string|max:100',
                'category' => 'nullable|string|max:100',
                'work' => 'nullable|string|max:100',
            ],
            ['old.required' => 'Name the component that goes.', 'from.date_format' => 'Write the day as 2026-11-26.'],
        );
        $order = ChangeOrder::query()->with('items')->where('number', $number)->firstOrFail();
        $text = static fn(string $name): string => $request->string($name)->trim()->toString();
        $asked = AskedReplacement::read($order, $text('old'), $text('new'), $text('from'));
        $filter = new UseFilter($text('product'), $text('category'), $text('work'));

        return new JsonResponse($reader->of($person, $order, $asked, $filter));
    }

    #[OA\Post(path: '/api/orders/{number}/replacement', operationId: 'replaceComponent', tags: ['changes'])]
    #[InPath('number'), Takes(ReplacementRequest::class), Ok(StrokeDone::class), Refused]
    public function replace(
        string $number,
        ReplacementRequest $request,
        #[CurrentUser] Person $person,
        ReplaceComponent $action,
    ): JsonResponse {
        $text = static fn(string $name): string => $request->string($name)->trim()->toString();
        $stroke = $action->in(
            $person,
            $number,
            static fn(ChangeOrder $order): AskedReplacement => AskedReplacement::read($order, $text('old'), $text('new'), $text('from')),
            $request->lines(),
        );

        return new JsonResponse(StrokeDone::of($number, $stroke));
    }

    #[OA\Post(path: '/api/orders/{number}/strokes/{stroke}/undo', operationId: 'undoStroke', tags: ['changes'])]
    #[InPath('number'), InPath('stroke'), Ok(Done::class), Refused]
    public function undo(string $number, string $stroke, #[CurrentUser] Person $person, TurnWork $action): JsonResponse
    {
        $action->undoStroke($person, $number, $stroke);

        return new JsonResponse(ChangeOrder::done($number));
    }
}
