<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Manufacturing\Actions\SetPlant;
use App\Manufacturing\Actions\SetWorkCentre;
use App\Manufacturing\Data\PlantRow;
use App\Manufacturing\Models\Plant;
use App\Manufacturing\Models\WorkCentre;
use App\People\Models\Person;
use App\Vocabulary\ChoiceList;
use App\Vocabulary\Models\Choice;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Plants and their work centres: every site is a plant. */
final readonly class PlantController
{
    public function __construct(private SetWorkCentre $centres) {}

    #[OA\Get(path: '/api/plants', operationId: 'plants', tags: ['set-up'])]
    #[OkList(PlantRow::class), Refused]
    public function index(): JsonResponse
    {
        $plants = Plant::query()->with('days')->get()->keyBy('code');
        $centres = WorkCentre::query()->orderBy('code')->get()->groupBy('plant');

        return new JsonResponse(
            Choice::query()
                ->where('list', ChoiceList::Site->value)
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(Choice $site): PlantRow => PlantRow::of(
                        $site,
                        $plants->get($site->code),
                        $centres->get($site->code) ?? new Collection(),
                    ),
                ),
        );
    }

    #[OA\Put(path: '/api/plants/{code}', operationId: 'setPlant', tags: ['set-up'])]
    #[InPath('code'), Takes(PlantRule::class), Ok(Done::class), Refused]
    public function update(string $code, PlantRule $request, #[CurrentUser] Person $person, SetPlant $action): JsonResponse
    {
        $plant = $action->set(
            $person,
            self::known($code),
            $request->timeZone(),
            weekdays: $request->weekdays(),
            shifts: $request->string('shifts')->toString(),
            days: $request->days(),
            version: $request->integer('version'),
        );

        return new JsonResponse(new Done($plant->code, $plant->version));
    }

    #[OA\Post(path: '/api/plants/{code}/work-centres', operationId: 'addWorkCentre', tags: ['set-up'])]
    #[InPath('code'), Takes(WorkCentreRule::class), Ok(Done::class), Refused]
    public function add(string $code, WorkCentreRule $request, #[CurrentUser] Person $person): JsonResponse
    {
        $centre = $this->centres->add(
            $person,
            self::known($code),
            $request->string('code')->toString(),
            $request->string('name')->trim()->toString(),
            $request->rate(),
        );

        return new JsonResponse(new Done($centre->code, $centre->version));
    }

    #[OA\Patch(path: '/api/plants/{code}/work-centres/{centre}', operationId: 'setWorkCentre', tags: ['set-up'])]
    #[InPath('code'), InPath('centre'), Takes(WorkCentreRule::class), Ok(Done::class), Refused]
    public function set(string $code, string $centre, WorkCentreRule $request, #[CurrentUser] Person $person): JsonResponse
    {
        $changed = $this->centres->set(
            $person,
            $code,
            $centre,
            name: $request->string('name')->trim()->toString(),
            rate: $request->rate(),
            retired: $request->boolean('retired'),
            version: $request->integer('version'),
        );

        return new JsonResponse(new Done($changed->code, $changed->version));
    }

    private static function known(string $code): string
    {
        return ChoiceList::Site->knows($code) ? $code : abort(404);
    }
}
