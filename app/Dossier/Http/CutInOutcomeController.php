<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\CutInOutcomes;
use App\Dossier\Data\CutInOutcomePage;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What became of cut-ins. */
final class CutInOutcomeController
{
    #[OA\Get(path: '/api/cut-in-outcomes', operationId: 'cutInOutcomes', tags: ['cut-in'])]
    #[InQuery('year'), Ok(CutInOutcomePage::class), Refused]
    public function __invoke(Request $request, CutInOutcomes $outcomes): JsonResponse
    {
        $request->validate(['year' => ['nullable', 'integer', 'between:1900,2999']]);

        return new JsonResponse($outcomes->year($request->filled('year') ? $request->integer('year') : null));
    }
}
