<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Http\Api\InPath;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Data\KindRow;
use App\Structures\Events\KindSet;
use App\Structures\ItemKind;
use App\Structures\RevisionSequences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** In which order the revisions of each kind of item follow one another, where its category says nothing. */
final class KindController
{
    #[OA\Get(path: '/api/kinds', operationId: 'kinds', tags: ['structures'])]
    #[OkList(KindRow::class), Refused]
    public function index(): JsonResponse
    {
        $sequences = new RevisionSequences();

        return new JsonResponse(
            array_map(
                static fn(ItemKind $kind): KindRow => new KindRow($kind->value, $kind->label(), $sequences->ofKind($kind)->value),
                ItemKind::cases(),
            ),
        );
    }

    #[OA\Patch(path: '/api/kinds/{kind}', operationId: 'setKind', tags: ['set-up'])]
    #[InPath('kind'), Takes(KindRule::class), OA\Response(response: 204, description: 'Done.'), Refused]
    public function update(string $kind, KindRule $request, #[CurrentUser] Person $person, Ledger $ledger): Response
    {
        $known = ItemKind::tryFrom($kind) ?? abort(404);
        $sequence = $request->string('sequence')->toString();
        $ledger->together(static function () use ($known, $sequence, $person): void {
            DB::table('kind_sequences')->upsert(['kind' => $known->value, 'sequence' => $sequence], 'kind');
            event(new KindSet($person->login, $known->value, $sequence));
        });

        return new Response(status: 204);
    }
}
