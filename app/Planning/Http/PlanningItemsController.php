<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use App\Planning\Actions\IntroduceItems;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** Items as planning has them. */
final class PlanningItemsController
{
    #[
        OA\Post(
            path: '/api/planning/items',
            operationId: 'introduceItems',
            tags: ['planning'],
            responses: [new OA\Response(response: 204, description: 'Planning knows all of them now.')],
        ),
    ]
    #[Takes(IntroducedItems::class), Refused]
    public function introduce(IntroducedItems $request, #[CurrentUser] Person $person, IntroduceItems $action): Response
    {
        $action->introduce($person, $request->numbers());

        return new Response('', 204);
    }
}
