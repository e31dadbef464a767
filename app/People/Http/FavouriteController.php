<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Data\FavouriteRow;
use App\People\Models\Favourite;
use App\People\Models\Group;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** Everybody's own kept pages, and those that others share with a group of theirs. */
final class FavouriteController
{
    private const MOST = 100;

    #[OA\Get(path: '/api/favourites', operationId: 'favourites', tags: ['people'])]
    #[OkList(FavouriteRow::class), Refused]
    public function index(#[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse(
            Favourite::query()
                ->with(['person', 'group'])
                ->where(
                    static fn(Builder $rows) => $rows
                        ->where('person_id', $person->id)
                        ->orWhereIn('group_id', self::groups($person)->select('groups.id')),
                )
                ->orderBy('name')
                ->get()
                ->map(static fn(Favourite $one): FavouriteRow => FavouriteRow::of($one, $person)),
        );
    }

    #[OA\Post(path: '/api/favourites', operationId: 'keepPage', tags: ['people'])]
    #[Takes(KeptPage::class), OA\Response(response: 204, description: 'Done.'), Refused]
    public function store(KeptPage $request, #[CurrentUser] Person $person): Response
    {
        $kept = ['person_id' => $person->id, 'address' => $request->string('address')->toString()];
        if (Favourite::query()->where('person_id', $person->id)->count() >= self::MOST) {
            throw Refusal::at('address', 'More than ' . self::MOST . ' kept pages are no help. Drop some first.');
        }
        $code = $request->string('group')->toString();
        $group = self::groups($person)->where('code', $code)->first();
        if ($code !== '' && $group === null) {
            throw Refusal::at('group', 'You share with a group that you are in.');
        }
        Favourite::query()->updateOrCreate($kept, [
            'name' => $request->string('name')->trim()->toString(),
            'group_id' => $group?->id,
        ]);

        return new Response(status: 204);
    }

    #[OA\Delete(path: '/api/favourites/{id}', operationId: 'dropPage', tags: ['people'])]
    #[InPath('id'), OA\Response(response: 204, description: 'Done.'), Refused]
    public function destroy(string $id, #[CurrentUser] Person $person): Response
    {
        Favourite::query()->where('person_id', $person->id)->where('id', (int) $id)->delete();

        return new Response(status: 204);
    }

    /** @return Builder<Group> those that a person is in */
    private static function groups(Person $person): Builder
    {
        return Group::query()->where('retired', false)->whereRelation('members', 'people.id', $person->id);
    }
}
