<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Http\Version;
use App\Orders\Actions\LetPlantFollow;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Vocabulary\ChoiceList;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** That a plant takes over later what an order changes. */
final readonly class FollowUpController
{
    public function __construct(private LetPlantFollow $action) {}

    #[OA\Put(path: '/api/orders/{number}/items/{item}/plants/{plant}/follow-up', operationId: 'letPlantFollow', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(FollowUpRequest::class), Ok(Done::class), Refused]
    public function set(string $number, string $item, string $plant, FollowUpRequest $request, #[CurrentUser] Person $person): JsonResponse
    {
        if (!ChoiceList::Site->knows($plant)) {
            throw Refusal::at('plant', "There is no plant {$plant}.");
        }
        $this->action->set(
            $person,
            $number,
            $item,
            $plant,
            under: $request->string('order')->trim()->toString(),
            day: Day::parse($request->string('by')->toString(), 'by'),
            reason: $request->string('reason')->trim()->toString(),
            version: $request->integer('version'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Delete(path: '/api/orders/{number}/items/{item}/plants/{plant}/follow-up', operationId: 'plantFollowsNoMore', tags: ['changes'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(Version::class), Ok(Done::class), Refused]
    public function takeBack(string $number, string $item, string $plant, Version $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->takeBack($person, $number, $item, $plant, $request->integer('version'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
