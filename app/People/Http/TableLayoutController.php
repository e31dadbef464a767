<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Data\Me;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** Everybody's own layouts of tables. */
final class TableLayoutController
{
    private const MOST = 200;

    #[OA\Put(path: '/api/table-layouts/{name}', operationId: 'layOutTable', tags: ['people'])]
    #[InPath('name'), Takes(LaidOutTable::class), Ok(Me::class), Refused]
    public function update(string $name, LaidOutTable $request, #[CurrentUser] Person $person): JsonResponse
    {
        if (count($person->table_layouts) >= self::MOST && !isset($person->table_layouts[$name])) {
            throw Refusal::at('name', 'More than ' . self::MOST . ' tables are laid out already.');
        }
        // One table at a time: what another window has laid out meanwhile stays.
        DB::update('UPDATE people SET table_layouts = table_layouts || jsonb_build_object(?::text, ?::jsonb) WHERE id = ?', [
            $name,
            json_encode($request->layout(), JSON_THROW_ON_ERROR),
            $person->id,
        ]);

        return new JsonResponse(Me::of($person->refresh()));
    }
}
