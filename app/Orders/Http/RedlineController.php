<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Orders\Actions\EditStructure;
use App\Orders\Data\Redline;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\RedlineReader;
use App\Orders\StructureSheet;
use App\People\Models\Person;
use App\Tables\TableFile;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;
use Symfony\Component\HttpFoundation\Response;

/** The structure of an item under an order. */
final readonly class RedlineController
{
    public function __construct(private RedlineReader $redlines, private EditStructure $action) {}

    #[OA\Get(path: '/api/orders/{number}/items/{item}/redline', operationId: 'redline', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Ok(Redline::class), Refused]
    public function show(string $number, string $item, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->redlines->one($person, $number, $item));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/edits', operationId: 'editLine', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(LineEdit::class), Ok(Done::class), Refused]
    public function edit(string $number, string $item, LineEdit $request, #[CurrentUser] Person $person): JsonResponse
    {
        /** @var array<value-of<LineField>, ?string> $fields */
        $fields = $request->validated('fields');
        $this->action->make(
            $person,
            $number,
            $item,
            EditOperation::from($request->string('operation')->toString())->of(
                $request->string('line')->toString(),
                array_map(static fn(?string $text): string => $text ?? '', $fields),
            ),
            $request->integer('seen'),
        );

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/edits-together', operationId: 'editLines', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(LineEdits::class), Ok(Done::class), Refused]
    public function editTogether(string $number, string $item, LineEdits $request, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->makeSeveral($person, $number, $item, $request->edits(), $request->integer('seen'));

        return new JsonResponse(ChangeOrder::done($number));
    }

    #[
        OA\Get(
            path: '/api/orders/{number}/items/{item}/sheet/{format}',
            operationId: 'structureSheet',
            tags: ['changes'],
            responses: [new OA\Response(response: 200, description: 'The lines as they are to be: csv or xlsx')],
        ),
    ]
    #[InPath('number'), InPath('item'), InPath('format'), Refused]
    public function sheet(string $number, string $item, string $format, OrderReader $orders): Response
    {
        return TableFile::answer(StructureSheet::of($item, self::after($number, $item, $orders)), $format, "{$number}-{$item}");
    }

    private static function after(string $number, string $item, OrderReader $orders): Structure
    {
        foreach ($orders->toCore(ChangeOrder::query()->where('number', $number)->firstOrFail())->revised() as $row) {
            if ($row->number === $item) {
                return $row->after();
            }
        }
        throw Refusal::at('item', "{$number} does not revise {$item}.");
    }

    #[
        OA\Post(
            path: '/api/orders/{number}/items/{item}/sheet',
            operationId: 'readStructureSheet',
            tags: ['changes'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(
                        required: ['file', 'seen'],
                        properties: [
                            new OA\Property(property: 'file', type: 'string', format: 'binary'),
                            new OA\Property(property: 'seen', type: 'integer'),
                        ],
                    ),
                ),
            ),
        ),
    ]
    #[InPath('number'), InPath('item'), Ok(Done::class), Refused]
    public function readSheet(
        string $number,
        string $item,
        SheetRequest $request,
        #[CurrentUser] Person $person,
        OrderReader $orders,
    ): JsonResponse {
        $wanted = StructureSheet::read($request->sheet(), $item, self::after($number, $item, $orders));
        $this->action->makeAll($person, $number, $item, $wanted, $request->integer('seen'));

        return new JsonResponse(ChangeOrder::done($number));
    }
}
