<?php

declare(strict_types=1);

namespace App\CutIn\Http;

use App\CutIn\Actions\ChooseCutIn;
use App\CutIn\ChanceReader;
use App\CutIn\CostRowReader;
use App\CutIn\CutInCalendar;
use App\CutIn\CutInReader;
use App\CutIn\Data\CutInChance;
use App\CutIn\Data\CutInChosen;
use App\CutIn\Data\CutInHinge;
use App\CutIn\Data\CutInPage;
use App\CutIn\Data\CutInRow;
use App\CutIn\Data\CutInStart;
use App\CutIn\Data\CutInToDo;
use App\CutIn\Data\ShortagePage;
use App\CutIn\HingeReader;
use App\CutIn\Models\CutIn;
use App\CutIn\ShortageReader;
use App\CutIn\StartReader;
use App\CutIn\ToDoReader;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;

/** The day on which new parts take the place of old ones. */
final class CutInController
{
    #[OA\Post(path: '/api/cut-in', operationId: 'planCutIn', tags: ['cut-in'])]
    #[Takes(CutInQuestion::class), Ok(CutInPage::class), Refused]
    public function plan(CutInQuestion $request, CutInReader $reader): JsonResponse
    {
        return new JsonResponse($reader->plan($request->question(), $request->boolean('anew')));
    }

    #[OA\Post(path: '/api/cut-in/rows', operationId: 'cutInRows', tags: ['cut-in'])]
    #[Takes(CutInDayQuestion::class), OkList(CutInRow::class), Refused]
    public function rows(CutInDayQuestion $request, CostRowReader $reader): JsonResponse
    {
        return new JsonResponse($reader->rows($request->question(), Day::parse($request->string('on')->toString())));
    }

    #[OA\Post(path: '/api/cut-in/to-do', operationId: 'cutInToDo', tags: ['cut-in'])]
    #[Takes(CutInDayQuestion::class), OkList(CutInToDo::class), Refused]
    public function toDo(CutInDayQuestion $request, ToDoReader $reader): JsonResponse
    {
        return new JsonResponse($reader->list($request->question(), Day::parse($request->string('on')->toString())));
    }

    #[OA\Post(path: '/api/cut-in/hinges', operationId: 'cutInHinges', tags: ['cut-in'])]
    #[Takes(CutInQuestion::class), OkList(CutInHinge::class), Refused]
    public function hinges(CutInQuestion $request, HingeReader $reader): JsonResponse
    {
        return new JsonResponse($reader->list($request->question()));
    }

    #[OA\Post(path: '/api/cut-in/chances', operationId: 'cutInChances', tags: ['cut-in'])]
    #[Takes(CutInChanceQuestion::class), OkList(CutInChance::class), Refused]
    public function chances(CutInChanceQuestion $request, ChanceReader $reader): JsonResponse
    {
        return new JsonResponse($reader->list($request->question(), $request->integer('spread_demand'), $request->integer('spread_lead')));
    }

    #[OA\Post(path: '/api/shortages', operationId: 'shortages', tags: ['cut-in'])]
    #[Takes(ShortageQuestion::class), Ok(ShortagePage::class), Refused]
    public function shortages(ShortageQuestion $request, ShortageReader $reader): JsonResponse
    {
        return new JsonResponse($reader->of($request->gone(), $request->coming(), $request->parents(), $request->firstDay()));
    }

    #[OA\Get(path: '/api/requests/{number}/cut-in', operationId: 'startCutIn', tags: ['cut-in'])]
    #[InPath('number'), Ok(CutInStart::class), Refused]
    public function start(string $number, StartReader $reader): JsonResponse
    {
        return new JsonResponse($reader->read(ChangeRequest::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Get(path: '/api/requests/{number}/cut-ins', operationId: 'chosenCutIns', tags: ['cut-in'])]
    #[InPath('number'), OkList(CutInChosen::class), Refused]
    public function chosen(string $number): JsonResponse
    {
        $request = ChangeRequest::query()->where('number', $number)->firstOrFail();

        return new JsonResponse(
            CutIn::query()
                ->with(['person', 'check', 'outcomes'])
                ->where('request_id', $request->id)
                ->orderByDesc('id')
                ->get()
                ->map(CutInChosen::of(...)),
        );
    }

    #[OA\Get(path: '/api/requests/{number}/cut-ins/{id}/calendar', operationId: 'cutInCalendar', tags: ['cut-in'])]
    #[
        InPath('number'),
        OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        OA\Response(response: 200, description: 'What has to be done by when, as iCalendar (RFC 5545).'),
        Refused,
    ]
    public function calendar(string $number, int $id): Response
    {
        $request = ChangeRequest::query()->where('number', $number)->firstOrFail();
        $chosen = CutIn::query()->where('request_id', $request->id)->findOrFail($id);

        return new Response(CutInCalendar::of($chosen, $number, url("/changes/{$number}/cut-in")), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$number}-cut-in.ics\"",
        ]);
    }

    #[OA\Post(path: '/api/requests/{number}/cut-ins', operationId: 'chooseCutIn', tags: ['cut-in'])]
    #[InPath('number'), Takes(CutInChoice::class), Ok(Done::class), Refused]
    public function choose(string $number, CutInChoice $request, #[CurrentUser] Person $person, ChooseCutIn $action): JsonResponse
    {
        $action(
            $person,
            $number,
            $request->question(),
            $request->string('chosen_on')->toString(),
            $request->string('reason')->trim()->toString(),
            $request->atPlants(),
        );

        return new JsonResponse(ChangeRequest::done($number));
    }
}
