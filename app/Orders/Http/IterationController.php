<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\KeepIteration;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Saved work between releases. */
final readonly class IterationController
{
    public function __construct(private KeepIteration $action) {}

    #[OA\Post(path: '/api/orders/{number}/items/{item}/iterations', operationId: 'keepIteration', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(KeptWork::class), Ok(Done::class), Refused]
    public function keep(string $number, string $item, KeptWork $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->keep($person, $number, $item, $request->string('note')->trim()->toString());

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/iterations/{iteration}/return', operationId: 'goBackToIteration', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('iteration'), Takes(Seen::class), Ok(Done::class), Refused]
    public function goBack(string $number, string $item, string $iteration, Seen $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->goBack($person, $number, $item, (int) $iteration, $request->integer('seen'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
