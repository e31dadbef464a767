<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Planning\Data\ExposurePage;
use App\Planning\ExposureReader;
use App\Structures\Models\Item;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ExposureController
{
    #[OA\Get(path: '/api/exposure', operationId: 'exposure', tags: ['planning'])]
    #[InQuery('items'), Ok(ExposurePage::class), Refused]
    public function index(Request $request, ExposureReader $reader): JsonResponse
    {
        $request->validate(['items' => 'required|string|max:4000'], ['items.required' => 'Name the items, separated by commas.']);
        $items = Item::query()->whereIn('number', explode(',', $request->string('items')->toString()))->orderBy('number')->get();

        return new JsonResponse($reader->of($items));
    }
}
