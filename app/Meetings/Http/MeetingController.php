<?php

declare(strict_types=1);

namespace App\Meetings\Http;

use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Meetings\Actions\ArrangeMeeting;
use App\Meetings\Data\MeetingPage;
use App\Meetings\MeetingReader;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The list of the board's next meeting. */
final readonly class MeetingController
{
    public function __construct(private MeetingReader $reader) {}

    #[OA\Get(path: '/api/meeting', operationId: 'meeting', tags: ['assessment'])]
    #[Ok(MeetingPage::class), Refused]
    public function show(): JsonResponse
    {
        return new JsonResponse($this->reader->read());
    }

    #[OA\Put(path: '/api/meeting', operationId: 'arrangeMeeting', tags: ['assessment'])]
    #[Takes(NewArrangement::class), OA\Response(response: 204, description: 'Done.'), Refused]
    public function arrange(NewArrangement $request, #[CurrentUser] Person $person, ArrangeMeeting $action): Response
    {
        $action($person, $request->requests());

        return new Response(status: 204);
    }
}
