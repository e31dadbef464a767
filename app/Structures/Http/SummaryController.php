<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Structures\Data\SummaryPage;
use App\Structures\Models\Item;
use App\Structures\StructureView;
use App\Structures\SummaryReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class SummaryController
{
    #[OA\Get(path: '/api/items/{number}/summary', operationId: 'structureSummary', tags: ['structures'])]
    #[InPath('number'), InQuery('kind'), InQuery('plant'), InQuery('on'), InQuery('from'), Ok(SummaryPage::class), Refused]
    public function show(string $number, Request $request, SummaryReader $reader): JsonResponse
    {
        $item = Item::query()->where('number', $number)->firstOrFail();

        return new JsonResponse(
            $reader->read($item, StructureView::asked($request), Today::orAsked($request), max(0, $request->integer('from'))),
        );
    }
}
