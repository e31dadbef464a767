<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Days\Today;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Structures\Data\TreePage;
use App\Structures\Data\UsedInPage;
use App\Structures\Models\Item;
use App\Structures\Overlay;
use App\Structures\StructureView;
use App\Structures\TreeReader;
use App\Structures\WhereUsedReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\Quantity;

final class StructureController
{
    #[OA\Get(path: '/api/items/{number}/structure', operationId: 'structure', tags: ['structures'])]
    #[
        InPath('number'),
        InQuery('kind'),
        InQuery('plant'),
        InQuery('on'),
        InQuery('revision'),
        InQuery('levels'),
        InQuery('times'),
        InQuery('time'),
        InQuery('orders'),
        Ok(TreePage::class),
        Refused,
    ]
    public function show(string $number, Request $request, TreeReader $reader, Overlay $planned): JsonResponse
    {
        $request->validate([
            'levels' => 'nullable|integer|min:1|max:' . TreeReader::DEEPEST,
            'time' => 'nullable|in:any',
            'orders' => 'nullable|in:open',
            'revision' => 'nullable|string|max:20',
        ]);
        $times = $request->string('times')->toString();
        $revision = $request->string('revision')->toString();

        return new JsonResponse(
            $reader->read(
                Item::query()->where('number', $number)->firstOrFail(),
                StructureView::asked($request),
                Today::orAsked($request),
                $request->query('time') === 'any',
                max(1, $request->integer('levels')),
                $times === '' ? Quantity::one() : Quantity::parse($times, 'times'),
                $revision === '' ? null : $revision,
                $request->query('orders') === 'open' ? $planned : null,
            ),
        );
    }

    #[OA\Get(path: '/api/items/{number}/where-used', operationId: 'whereUsed', tags: ['structures'])]
    #[InPath('number'), InQuery('kind'), InQuery('plant'), InQuery('on'), InQuery('only'), InQuery('from'), Ok(UsedInPage::class), Refused]
    public function whereUsed(string $number, Request $request, WhereUsedReader $reader): JsonResponse
    {
        $item = Item::query()->where('number', $number)->firstOrFail();

        return new JsonResponse(
            $request->query('only') === 'direct'
                ? $reader->direct($item, Today::orAsked($request), StructureView::asked($request))
                : $reader->page(
                    $item,
                    Today::orAsked($request),
                    StructureView::asked($request),
                    $request->query('only') === 'tops',
                    max(0, $request->integer('from')),
                ),
        );
    }
}
