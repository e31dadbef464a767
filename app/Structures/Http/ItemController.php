<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Changes\ChangeList;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Structures\Data\ItemPage;
use App\Structures\Data\ItemRow;
use App\Structures\Models\Item;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ItemController
{
    private const MOST = 200;

    #[OA\Get(path: '/api/items', operationId: 'items', tags: ['structures'])]
    #[InQuery('words'), InQuery('kind'), OkList(ItemRow::class), Refused]
    public function index(Request $request): JsonResponse
    {
        $request->validate(['words' => 'nullable|string|max:200', 'kind' => 'nullable|string|max:20']);
        $query = Item::rows();
        foreach (preg_split('/\s+/', $request->string('words')->toString(), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $query->whereRaw("number || ' ' || title ILIKE ?", ['%'.addcslashes($word, '%_\\').'%']);
        }
        if ($request->filled('kind')) {
            $query->where('kind', $request->query('kind'));
        }

        return new JsonResponse($query->orderByDesc('sold')->orderBy('number')->limit(self::MOST)->get()->map(ItemRow::of(...)));
    }

    #[OA\Get(path: '/api/items/{number}', operationId: 'item', tags: ['structures'])]
    #[InPath('number'), Ok(ItemPage::class), Refused]
    public function show(string $number, ChangeList $changes): JsonResponse
    {
        $item = Item::rows()->with(['revisions.order', 'revisions.releasedBy'])->where('number', $number)->firstOrFail();

        return new JsonResponse(ItemPage::of($item, $changes->naming($item)));
    }
}
