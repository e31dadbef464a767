<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Structures\Actions\AddItem;
use App\Structures\Data\ItemList;
use App\Structures\Data\ItemPage;
use App\Structures\Data\ProposedNumber;
use App\Structures\Export\ItemTable;
use App\Structures\ItemNumbers;
use App\Structures\ItemSearch;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use App\Structures\NamingChanges;
use App\Tables\TableFile;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

final class ItemController
{
    private const FILTERS = ['words', 'kind', 'category', 'status', 'supply', 'used_in', 'attribute', 'value'];

    /** Rows that a page has where nobody says. */
    private const PAGE = 100;

    #[OA\Get(path: '/api/items', operationId: 'items', tags: ['structures'])]
    #[
        InQuery('words'),
        InQuery('kind'),
        InQuery('category'),
        InQuery('status'),
        InQuery('supply'),
        InQuery('used_in'),
        InQuery('attribute'),
        InQuery('value'),
    ]
    #[InQuery('sort'), InQuery('from'), InQuery('most'), Ok(ItemList::class), Refused]
    public function index(Request $request, ItemSearch $search): JsonResponse
    {
        $request->validate([
            'from' => 'nullable|integer|between:0,100000000',
            'most' => 'nullable|integer|between:1,' . ItemSearch::MOST,
            'sort' => 'nullable|string|max:20',
        ]);

        return new JsonResponse(
            $search->page(
                self::asked($request),
                $request->integer('from'),
                $request->integer('most', self::PAGE),
                $request->string('sort')->toString(),
            ),
        );
    }

    /** @return array<string, string> what is looked for */
    private static function asked(Request $request): array
    {
        /** @var array<string, ?string> $asked */
        $asked = $request->validate(array_fill_keys(self::FILTERS, 'nullable|string|max:200'));

        return array_map(strval(...), $asked);
    }

    #[OA\Post(path: '/api/items', operationId: 'addItem', tags: ['structures'])]
    #[Takes(NewItem::class), Ok(Done::class), Refused]
    public function store(NewItem $request, #[CurrentUser] Person $person, AddItem $action): JsonResponse
    {
        return new JsonResponse(new Done($action($person, $request->item()), 1));
    }

    #[OA\Get(path: '/api/item-number', operationId: 'proposedNumber', tags: ['structures'])]
    #[InQuery('category'), Ok(ProposedNumber::class), Refused]
    public function number(Request $request, ItemNumbers $numbers): JsonResponse
    {
        $category = Category::query()
            ->where('code', $request->string('category')->toString())
            ->firstOrFail();

        return new JsonResponse(new ProposedNumber($numbers->proposed($category)));
    }

    #[
        OA\Get(
            path: '/api/catalogue/{format}',
            operationId: 'itemFile',
            tags: ['structures'],
            responses: [new OA\Response(response: 200, description: 'All items that the filter finds: csv, xlsx or json')],
        ),
    ]
    #[
        InPath('format'),
        InQuery('words'),
        InQuery('kind'),
        InQuery('category'),
        InQuery('status'),
        InQuery('supply'),
        InQuery('used_in'),
        InQuery('attribute'),
        InQuery('value'),
        Refused,
    ]
    public function file(string $format, Request $request, ItemSearch $search): Response
    {
        $asked = array_filter(self::asked($request), static fn(string $value): bool => $value !== '');
        $table = ItemTable::of($asked === [] ? null : $search->found($asked)[0]);
        if ($format !== 'json') {
            return TableFile::answer($table, $format, 'items');
        }
        $items = [];
        foreach ($table->rows as $row) {
            $items[] = array_combine($table->heads, $row);
        }

        return new JsonResponse(
            ['format' => 'orthotaxis-items', 'version' => 1, 'items' => $items],
            headers: ['Content-Disposition' => 'attachment; filename="items.json"'],
        );
    }

    #[OA\Get(path: '/api/items/{number}', operationId: 'item', tags: ['structures'])]
    #[InPath('number'), Ok(ItemPage::class), Refused]
    public function show(string $number, NamingChanges $changes): JsonResponse
    {
        $item = Item::rows()
            ->with(['revisions.order', 'revisions.releasedBy'])
            ->where('number', $number)
            ->firstOrFail();

        return new JsonResponse(ItemPage::of($item, $changes->naming($item)));
    }
}
