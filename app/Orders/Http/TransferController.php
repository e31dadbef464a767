<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Orders\Data\StrokeDone;
use App\Orders\Models\ChangeOrder;
use App\Orders\Transfer\Data\TransferPage;
use App\Orders\Transfer\TransferEdits;
use App\Orders\Transfer\TransferReader;
use App\Orders\Transfer\Way;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** Edits of an order carried over to siblings: seen first, then done. */
final readonly class TransferController
{
    #[OA\Get(path: '/api/orders/{number}/transfer', operationId: 'transfer', tags: ['changes'])]
    #[InPath('number'), InQuery('to'), InQuery('into'), Ok(TransferPage::class), Refused]
    public function show(string $number, Request $request, #[CurrentUser] Person $person, TransferReader $reader): JsonResponse
    {
        $request->validate(['to' => 'nullable|string|max:20000', 'into' => 'nullable|string|max:40']);
        $into = $request->string('into')->trim()->toString() ?: $number;
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
        $gets =
            $into === $number
                ? $order
                : ChangeOrder::query()->where('number', $into)->first() ?? throw Refusal::at('into', "There is no order {$into}.");

        return new JsonResponse($reader->of($person, $order, $gets, Way::several($number, $into, $request->string('to')->toString())));
    }

    #[OA\Post(path: '/api/orders/{number}/transfer', operationId: 'transferEdits', tags: ['changes'])]
    #[InPath('number'), Takes(TransferRequest::class), Ok(StrokeDone::class), Refused]
    public function carry(string $number, TransferRequest $request, #[CurrentUser] Person $person, TransferEdits $action): JsonResponse
    {
        $into = $request->string('into')->toString();
        $ways = Way::several($number, $into, $request->string('to')->toString());
        $stroke = $action->carry($person, $number, $into, $ways, $request->decisions());

        return new JsonResponse(StrokeDone::of($into, $stroke));
    }
}
