<?php

declare(strict_types=1);

namespace App\Releases\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Releases\Actions\ReleaseOrder;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** An order is made true. */
final readonly class ReleaseController
{
    #[OA\Post(path: '/api/orders/{number}/release', operationId: 'releaseOrder', tags: ['releases'])]
    #[InPath('number'), Takes(Version::class), Ok(Done::class), Refused]
    public function release(string $number, Version $request, #[CurrentUser] Person $person, ReleaseOrder $action): JsonResponse
    {
        $action->release($person, $number, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
