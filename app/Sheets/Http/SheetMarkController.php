<?php

declare(strict_types=1);

namespace App\Sheets\Http;

use App\Documents\Models\ItemFile;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\People\Models\Person;
use App\Sheets\Actions\MarkSheet;
use App\Sheets\Data\SheetMarks;
use App\Sheets\SheetMarkReader;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Marks of change on sheets. */
final readonly class SheetMarkController
{
    public function __construct(private SheetMarkReader $reader, private MarkSheet $action) {}

    #[OA\Get(path: '/api/files/{id}/marks', operationId: 'sheetMarks', tags: ['documents'])]
    #[InPath('id'), Ok(SheetMarks::class), Refused]
    public function show(string $id, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->reader->of(self::file($id), $person));
    }

    #[
        OA\Post(
            path: '/api/files/{id}/marks',
            operationId: 'markSheet',
            tags: ['documents'],
            requestBody: new OA\RequestBody(
                content: new OA\JsonContent(
                    required: ['page', 'note'],
                    properties: [
                        new OA\Property(property: 'page', type: 'integer'),
                        new OA\Property(property: 'left', type: 'number', nullable: true, description: 'share of the width'),
                        new OA\Property(property: 'top', type: 'number', nullable: true, description: 'share of the height'),
                        new OA\Property(property: 'zone', type: 'string', nullable: true, description: 'in place of left and top'),
                        new OA\Property(property: 'note', type: 'string'),
                    ],
                ),
            ),
        ),
    ]
    #[InPath('id'), Ok(SheetMarks::class), Refused]
    public function set(string $id, Request $request, #[CurrentUser] Person $person): JsonResponse
    {
        $request->validate(
            [
                'page' => 'required|integer|between:1,10000',
                'left' => 'required_without:zone|nullable|numeric|between:0,1',
                'top' => 'required_without:zone|nullable|numeric|between:0,1',
                'zone' => 'nullable|string|max:4',
                'note' => 'required|string|max:200',
            ],
            [
                'page.*' => 'Pages are counted from 1.',
                'left.*' => 'Say where: in shares of the page from 0 to 1, or by a zone.',
                'top.*' => 'Say where: in shares of the page from 0 to 1, or by a zone.',
                'zone.*' => 'A zone is a letter and a number, as B3.',
                'note.*' => 'Say in at most 200 characters what has changed there.',
            ],
        );
        $file = self::file($id);
        $zone = $request->string('zone')->toString();
        $this->action->set(
            $person,
            $file,
            $request->integer('page'),
            $zone === '' ? [$request->float('left'), $request->float('top')] : $zone,
            trim($request->string('note')->toString()),
        );

        return $this->show($id, $person);
    }

    #[OA\Delete(path: '/api/files/{id}/marks/{mark}', operationId: 'unmarkSheet', tags: ['documents'])]
    #[InPath('id'), InPath('mark'), Ok(SheetMarks::class), Refused]
    public function remove(string $id, int $mark, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->remove($person, self::file($id), $mark);

        return $this->show($id, $person);
    }

    private static function file(string $id): ItemFile
    {
        return ItemFile::query()
            ->with(['item', 'revision', 'order'])
            ->findOrFail($id);
    }
}
