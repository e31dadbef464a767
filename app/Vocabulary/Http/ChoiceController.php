<?php

declare(strict_types=1);

namespace App\Vocabulary\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Vocabulary\Actions\AddChoice;
use App\Vocabulary\Actions\SetChoice;
use App\Vocabulary\ChoiceList;
use App\Vocabulary\Data\ChoiceRow;
use App\Vocabulary\Models\Choice;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Sites, reasons and sources. */
final class ChoiceController
{
    #[OA\Get(path: '/api/choices', operationId: 'choices', tags: ['set-up'])]
    #[OkList(ChoiceRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(Choice::query()->orderBy('id')->get()->map(ChoiceRow::of(...)));
    }

    #[OA\Post(path: '/api/choices', operationId: 'addChoice', tags: ['set-up'])]
    #[Takes(NewChoice::class), Ok(Done::class), Refused]
    public function store(NewChoice $request, #[CurrentUser] Person $person, AddChoice $action): JsonResponse
    {
        $choice = $action(
            $person,
            ChoiceList::from($request->string('list')->toString()),
            $request->string('code')->toString(),
            $request->string('name')->toString(),
        );

        return new JsonResponse(new Done($choice->code, $choice->version));
    }

    #[OA\Patch(path: '/api/choices/{list}/{code}', operationId: 'setChoice', tags: ['set-up'])]
    #[InPath('list'), InPath('code'), Takes(ChoiceRule::class), Ok(Done::class), Refused]
    public function update(string $list, string $code, ChoiceRule $request, #[CurrentUser] Person $person, SetChoice $action): JsonResponse
    {
        $choice = $action(
            $person,
            $list,
            $code,
            name: $request->string('name')->toString(),
            retired: $request->boolean('retired'),
            version: $request->integer('version'),
        );

        return new JsonResponse(new Done($choice->code, $choice->version));
    }
}
