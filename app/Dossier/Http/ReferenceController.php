<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\Data\ReferenceRow;
use App\Dossier\References\RecordReference;
use App\Dossier\References\ReferTo;
use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Records of other processes that a report, a request or an order refers to. */
final readonly class ReferenceController
{
    #[OA\Get(path: '/api/changes/{number}/references', operationId: 'references', tags: ['changes'])]
    #[InPath('number'), OkList(ReferenceRow::class), Refused]
    public function index(string $number): JsonResponse
    {
        ReferTo::mustBeThere($number);

        return self::rows($number);
    }

    #[OA\Post(path: '/api/changes/{number}/references', operationId: 'addReference', tags: ['changes'])]
    #[InPath('number'), Takes(NewReference::class), OkList(ReferenceRow::class), Refused]
    public function add(string $number, NewReference $request, #[CurrentUser] Person $person, ReferTo $action): JsonResponse
    {
        $text = static fn(string $name): string => $request->string($name)->trim()->toString();
        $action->add($person, $number, $text('kind'), $text('number'), $text('address'));

        return self::rows($number);
    }

    #[OA\Delete(path: '/api/changes/{number}/references/{reference}', operationId: 'removeReference', tags: ['changes'])]
    #[InPath('number'), InPath('reference'), OkList(ReferenceRow::class), Refused]
    public function remove(string $number, int $reference, #[CurrentUser] Person $person, ReferTo $action): JsonResponse
    {
        $action->remove($person, $number, $reference);

        return self::rows($number);
    }

    private static function rows(string $number): JsonResponse
    {
        $rows = RecordReference::query()->with('person')->where('change', $number)->orderBy('id')->get();

        return new JsonResponse($rows->map(ReferenceRow::of(...))->values());
    }
}
