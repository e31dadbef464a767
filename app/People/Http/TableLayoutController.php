<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\InPath;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** Everybody's own layouts of tables. */
final class TableLayoutController
{
    private const MOST = 200;

    #[OA\Put(path: '/api/table-layouts/{name}', operationId: 'layOutTable', tags: ['people'])]
    #[InPath('name'), Takes(LaidOutTable::class), OA\Response(response: 204, description: 'Done.'), Refused]
    public function update(string $name, LaidOutTable $request, #[CurrentUser] Person $person): Response
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

        return new Response(status: 204);
    }
}
