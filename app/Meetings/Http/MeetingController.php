<?php

declare(strict_types=1);

namespace App\Meetings\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Meetings\Actions\ArrangeMeeting;
use App\Meetings\Actions\SetMeetings;
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

    #[OA\Post(path: '/api/meeting/days', operationId: 'setMeeting', tags: ['assessment'])]
    #[Takes(NewBoardMeeting::class), OA\Response(response: 204, description: 'Done.'), Refused]
    public function set(NewBoardMeeting $request, #[CurrentUser] Person $person, SetMeetings $action): Response
    {
        $action->add($person, $request->startsAt(), $request->integer('minutes'), $request->string('place')->trim()->toString());

        return new Response(status: 204);
    }

    #[OA\Delete(path: '/api/meeting/days/{id}', operationId: 'callMeetingOff', tags: ['assessment'])]
    #[InPath('id'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function callOff(int $id, #[CurrentUser] Person $person, SetMeetings $action): Response
    {
        $action->callOff($person, $id);

        return new Response(status: 204);
    }
}
