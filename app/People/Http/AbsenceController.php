<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Ability;
use App\People\Actions\SetAbsence;
use App\People\Data\AbsenceRow;
use App\People\Models\Absence;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Who is away, and who stands in. */
final class AbsenceController
{
    #[OA\Get(path: '/api/absences', operationId: 'absences', tags: ['people'])]
    #[OkList(AbsenceRow::class), Refused]
    public function index(#[CurrentUser] Person $person): JsonResponse
    {
        return self::rows($person);
    }

    #[OA\Post(path: '/api/absences', operationId: 'addAbsence', tags: ['people'])]
    #[Takes(NewAbsence::class), OkList(AbsenceRow::class), Refused]
    public function add(NewAbsence $request, #[CurrentUser] Person $person, SetAbsence $action): JsonResponse
    {
        $of = $request->string('person')->toString();
        $of === $person->login || $person->mayDo(Ability::SetUp) || abort(403);
        $action->add(
            $person,
            $of,
            first: $request->string('first_day')->toString(),
            last: $request->string('last_day')->toString(),
            deputy: $request->filled('deputy') ? $request->string('deputy')->toString() : null,
        );

        return self::rows($person);
    }

    #[OA\Delete(path: '/api/absences/{id}', operationId: 'removeAbsence', tags: ['people'])]
    #[InPath('id'), OkList(AbsenceRow::class), Refused]
    public function remove(int $id, #[CurrentUser] Person $person, SetAbsence $action): JsonResponse
    {
        Absence::query()->findOrFail($id)->person_id === $person->id || $person->mayDo(Ability::SetUp) || abort(403);
        $action->remove($person, $id);

        return self::rows($person);
    }

    /** From today on. */
    private static function rows(Person $reader): JsonResponse
    {
        $rows = Absence::query()
            ->with(['person', 'deputy'])
            ->where('last_day', '>=', (string) Today::day())
            ->orderBy('first_day')
            ->orderBy('id')
            ->get();

        return new JsonResponse(
            $rows->map(static fn(Absence $one): AbsenceRow => AbsenceRow::of($one, $reader, $reader->mayDo(Ability::SetUp)))->values(),
        );
    }
}
