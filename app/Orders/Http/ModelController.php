<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\DesignModel\Data\ModelOutcome;
use App\Orders\DesignModel\TakeOverModel;
use App\Orders\DesignModel\UnwantedParts;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Design models under an order. */
final readonly class ModelController
{
    #[
        OA\Post(
            path: '/api/orders/{number}/model',
            operationId: 'takeOverModel',
            tags: ['changes'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(
                        required: ['file', 'keep'],
                        properties: [
                            new OA\Property(property: 'file', type: 'string', format: 'binary', description: 'STEP, or a table of it'),
                            new OA\Property(property: 'keep', type: 'string', enum: ['yes', 'no'], description: 'no: only looks at it'),
                            new OA\Property(property: 'chosen', type: 'string', description: 'JSON: keys of the rows that are taken over'),
                            new OA\Property(
                                property: 'categories',
                                type: 'string',
                                description: 'JSON: categories of what is new, by what the model calls it',
                            ),
                        ],
                    ),
                ),
            ),
        ),
    ]
    #[InPath('number'), Ok(ModelOutcome::class), Refused]
    public function take(string $number, ModelRequest $request, #[CurrentUser] Person $person, TakeOverModel $action): JsonResponse
    {
        return new JsonResponse(
            $request->string('keep')->toString() === 'yes'
                ? $action->take($person, $number, $request->model(), $request->chosen(), $request->categories())
                : $action->look($person, $number, $request->model()),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/model/unwanted', operationId: 'unwantedInModel', tags: ['changes'])]
    #[InPath('number'), Takes(UnwantedPart::class), Ok(Done::class), Refused]
    public function unwanted(string $number, UnwantedPart $part, #[CurrentUser] Person $person, UnwantedParts $parts): JsonResponse
    {
        $parts->set(
            $person,
            $number,
            $part->string('assembly')->toString(),
            $part->string('component')->toString(),
            $part->boolean('unwanted'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }
}
