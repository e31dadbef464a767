<?php

declare(strict_types=1);

namespace App\Sheets\Http;

use App\Documents\Models\ItemFile;
use App\Files\Drawn;
use App\Files\StoredFile;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Orders\Models\ChangeOrder;
use App\Sheets\Comparing\SheetComparer;
use App\Sheets\Data\ComparedSheets;
use App\Sheets\Data\OrderSheetRow;
use App\Sheets\OrderSheets;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** Sheets side by side. */
final class SheetComparisonController
{
    private const PAGE = ['page' => 'nullable|integer|between:1,10000'];

    private const SAID = ['page.*' => 'Pages are counted from 1.'];

    #[OA\Get(path: '/api/orders/{number}/sheets', operationId: 'orderSheets', tags: ['documents'])]
    #[InPath('number'), OkList(OrderSheetRow::class), Refused]
    public function ofOrder(string $number): JsonResponse
    {
        return new JsonResponse(OrderSheets::of(ChangeOrder::query()->where('number', $number)->firstOrFail()));
    }

    #[OA\Get(path: '/api/files/{id}/against/{after}', operationId: 'comparedSheets', tags: ['documents'])]
    #[InPath('id'), InPath('after'), InQuery('page'), Ok(ComparedSheets::class), Refused]
    public function compare(string $id, string $after, Request $request): JsonResponse
    {
        $request->validate(self::PAGE, self::SAID);

        return new JsonResponse(SheetComparer::of(self::file($id), self::file($after), $request->integer('page', 1)));
    }

    #[
        OA\Get(
            path: '/api/files/{id}/page',
            operationId: 'filePage',
            tags: ['documents'],
            responses: [new OA\Response(response: 200, description: 'PNG of a page, as wide as asked')],
        ),
    ]
    #[InPath('id'), InQuery('page'), InQuery('width'), Refused]
    public function page(string $id, Request $request): Response
    {
        $request->validate(
            [...self::PAGE, 'width' => 'nullable|integer|between:16,4000'],
            [...self::SAID, 'width.*' => 'A page is drawn from 16 to 4000 pixels wide.'],
        );
        $file = ItemFile::query()->findOrFail($id);
        $png = StoredFile::with(
            $file->file_id,
            static fn(string $path): ?string => Drawn::png(
                $path,
                $file->media_type,
                $request->integer('width', 1600),
                $request->integer('page', 1),
            ),
        );

        return new Response($png ?? throw Refusal::at('page', "{$file->name} has no such page, or cannot be drawn."), 200, [
            'Content-Type' => 'image/png',
            'X-Content-Type-Options' => 'nosniff',
            'Cache-Control' => 'private, max-age=86400, immutable',
        ]);
    }

    private static function file(string $id): ItemFile
    {
        return ItemFile::query()
            ->with(['item', 'revision', 'order', 'person'])
            ->findOrFail($id);
    }
}
