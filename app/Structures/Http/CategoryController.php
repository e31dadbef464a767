<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Structures\Actions\AddCategory;
use App\Structures\Actions\SetCategory;
use App\Structures\Data\CategoryRow;
use App\Structures\Models\Category;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Revision\Sequence;

final class CategoryController
{
    #[OA\Get(path: '/api/categories', operationId: 'categories', tags: ['structures'])]
    #[OkList(CategoryRow::class), Refused]
    public function index(): JsonResponse
    {
        return new JsonResponse(
            Category::query()
                ->with(['over', 'dispositions'])
                ->withCount('items')
                ->orderBy('name')
                ->get()
                ->map(CategoryRow::of(...)),
        );
    }

    #[OA\Patch(path: '/api/categories/{code}', operationId: 'setCategory', tags: ['set-up'])]
    #[InPath('code'), Takes(CategoryRule::class), Ok(Done::class), Refused]
    public function update(string $code, CategoryRule $request, #[CurrentUser] Person $person, SetCategory $action): JsonResponse
    {
        $category = $action(
            $person,
            $code,
            $request->version(),
            $request->name(),
            $request->has('under') ? $request->string('under')->toString() : null,
            $request->rule(),
            Sequence::tryFrom($request->string('sequence')->toString()),
            $request->asked(),
            $request->dispositions(),
            $request->takenOver(),
        );

        return new JsonResponse(new Done($category->code, $category->version));
    }

    #[OA\Post(path: '/api/categories', operationId: 'addCategory', tags: ['set-up'])]
    #[Takes(CategoryRule::class), Ok(Done::class), Refused]
    public function store(CategoryRule $request, #[CurrentUser] Person $person, AddCategory $action): JsonResponse
    {
        $category = $action($person, (string) $request->name(), $request->string('under')->toString(), $request->rule());

        return new JsonResponse(new Done($category->code, $category->version));
    }
}
