<?php

declare(strict_types=1);

namespace App\Sheets\Http;

use App\Documents\Models\ItemFile;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\People\Models\Person;
use App\Sheets\Actions\SheetAddresses;
use App\Sheets\Data\CheckedSheet;
use App\Sheets\Data\SheetAddressRow;
use App\Sheets\Models\SheetAddress;
use App\Sheets\PartsListReader;
use App\Sheets\SheetPrint;
use App\Sheets\SheetWords;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** Sheets as they leave the house. */
final class SheetController
{
    #[
        OA\Get(
            path: '/api/files/{id}/stamped',
            operationId: 'stampedSheet',
            tags: ['documents'],
            responses: [new OA\Response(response: 200, description: 'PDF/A-3b with the status of the day on each page')],
        ),
    ]
    #[InPath('id'), InQuery('language'), Refused]
    public function stamped(string $id, Request $request, SheetPrint $print): Response
    {
        $languages = SheetWords::languages();
        $request->validate(
            ['language' => ['nullable', Rule::in($languages)]],
            ['language.*' => 'Documents are written in ' . implode(', ', $languages) . '.'],
        );
        $file = ItemFile::query()
            ->with(['item', 'revision'])
            ->findOrFail($id);
        $address = SheetAddress::inUse($file->id)?->url() ?? '';

        return $print->answer($file, $address, $request->string('language', $languages[0] ?? 'en')->toString());
    }

    #[OA\Get(path: '/api/files/{id}/parts-list', operationId: 'sheetPartsList', tags: ['documents'])]
    #[InPath('id'), OkList(CheckedSheet::class), Refused]
    public function partsList(string $id, PartsListReader $reader): JsonResponse
    {
        return new JsonResponse(
            $reader->of(
                ItemFile::query()
                    ->with(['item', 'revision'])
                    ->findOrFail($id),
            ),
        );
    }

    #[OA\Get(path: '/api/files/{id}/address', operationId: 'sheetAddress', tags: ['documents'])]
    #[InPath('id'), Ok(SheetAddressRow::class), Refused]
    public function address(string $id): JsonResponse
    {
        return self::told(ItemFile::query()->findOrFail($id));
    }

    #[OA\Post(path: '/api/files/{id}/address', operationId: 'makeSheetAddress', tags: ['documents'])]
    #[InPath('id'), Ok(SheetAddressRow::class), Refused]
    public function make(string $id, #[CurrentUser] Person $person, SheetAddresses $addresses): JsonResponse
    {
        $file = ItemFile::query()
            ->with(['item', 'revision'])
            ->findOrFail($id);
        $addresses->of($file, $person);

        return self::told($file);
    }

    #[OA\Delete(path: '/api/files/{id}/address', operationId: 'withdrawSheetAddress', tags: ['documents'])]
    #[InPath('id'), Ok(SheetAddressRow::class), Refused]
    public function withdraw(string $id, #[CurrentUser] Person $person, SheetAddresses $addresses): JsonResponse
    {
        $file = ItemFile::query()
            ->with(['item', 'revision'])
            ->findOrFail($id);
        $addresses->withdraw($file, $person);

        return self::told($file);
    }

    private static function told(ItemFile $file): JsonResponse
    {
        return new JsonResponse(SheetAddressRow::of(SheetAddress::inUse($file->id), $file->revision_id !== null, SheetWords::languages()));
    }
}
