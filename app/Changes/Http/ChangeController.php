<?php

declare(strict_types=1);

namespace App\Changes\Http;

use App\Changes\ChangeList;
use App\Changes\Data\ChangeRow;
use App\Changes\Data\Dossier;
use App\Changes\DossierReader;
use App\Changes\Priority;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** The Register and the Dossier. */
final class ChangeController
{
    #[OA\Get(path: '/api/changes', operationId: 'changes', tags: ['changes'])]
    #[InQuery('show'), InQuery('words'), InQuery('priority'), OkList(ChangeRow::class), Refused]
    public function index(Request $request, ChangeList $changes): JsonResponse
    {
        $request->validate([
            'show' => 'nullable|in:open,closed,all', 'words' => 'nullable|string|max:200', 'priority' => ['nullable', Rule::enum(Priority::class)],
        ]);

        return new JsonResponse($changes->filtered(
            $request->string('show', 'open')->toString(),
            $request->string('words')->toString(),
            $request->string('priority')->toString(),
        ));
    }

    #[OA\Get(path: '/api/dossiers/{number}', operationId: 'dossier', tags: ['changes'])]
    #[InPath('number'), Ok(Dossier::class), Refused]
    public function show(string $number, DossierReader $dossiers): JsonResponse
    {
        return new JsonResponse($dossiers->read($number));
    }
}
