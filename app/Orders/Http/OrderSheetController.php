<?php

declare(strict_types=1);

namespace App\Orders\Http;

use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Orders\Models\ChangeOrder;
use App\Orders\Sheet\BringBackSheet;
use App\Orders\Sheet\Data\SheetOutcome;
use App\Orders\Sheet\OrderSheet;
use App\Orders\Sheet\TakeAwaySheet;
use App\People\Models\Person;
use App\Tables\Table;
use App\Tables\TableFile;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** The lines of an order as a sheet: taken away, edited elsewhere, and brought back. */
final readonly class OrderSheetController
{
    #[
        OA\Get(
            path: '/api/orders/{number}/worksheet/{format}',
            operationId: 'orderSheet',
            tags: ['changes'],
            responses: [new OA\Response(response: 200, description: 'The lines as they are to be: csv, xlsx or json')],
        ),
    ]
    #[InPath('number'), InPath('format'), InQuery('parents'), Refused]
    public function take(string $number, string $format, Request $request, #[CurrentUser] Person $person, TakeAwaySheet $sheets): Response
    {
        if (!in_array($format, ['csv', 'xlsx', 'json'], true)) {
            throw Refusal::at('format', 'The lines of an order can be had as csv, xlsx or json.');
        }
        $parents = array_values(array_filter(explode(',', $request->string('parents')->toString())));
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        $table = $sheets->of($person, $order, $parents);

        return $format === 'json' ? self::json($number, $table) : TableFile::answer($table, $format, "{$number}-lines");
    }

    private static function json(string $number, Table $table): JsonResponse
    {
        $rows = [];
        foreach ($table->rows as $row) {
            $rows[] = array_filter(
                array_combine($table->heads, $row),
                static fn(string|int|null $value): bool => $value !== '' && $value !== null,
            );
        }

        return new JsonResponse(
            ['format' => 'orthotaxis-order-lines', 'version' => 1, 'head' => $table->head, 'rows' => $rows],
            headers: ['Content-Disposition' => "attachment; filename={$number}-lines.json"],
        );
    }

    #[
        OA\Post(
            path: '/api/orders/{number}/sheet',
            operationId: 'bringBackSheet',
            tags: ['changes'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(
                        required: ['file', 'keep'],
                        properties: [
                            new OA\Property(property: 'file', type: 'string', format: 'binary'),
                            new OA\Property(
                                property: 'keep',
                                type: 'string',
                                enum: ['yes', 'no'],
                                description: 'no: only says what it would do',
                            ),
                            new OA\Property(
                                property: 'choices',
                                type: 'object',
                                description: 'mine (the sheet) or theirs, by the key of the conflict',
                                additionalProperties: new OA\AdditionalProperties(type: 'string'),
                            ),
                        ],
                    ),
                ),
            ),
        ),
    ]
    #[InPath('number'), Ok(SheetOutcome::class), Refused]
    public function bringBack(
        string $number,
        OrderSheetRequest $request,
        #[CurrentUser] Person $person,
        BringBackSheet $action,
    ): JsonResponse {
        return new JsonResponse(
            $action->in($person, $number, $request->sheet(), $request->choices(), $request->string('keep')->toString() === 'yes'),
        );
    }

    #[
        OA\Get(
            path: '/api/orders/{number}/sheets/{sheet}/marked',
            operationId: 'markedSheet',
            tags: ['changes'],
            responses: [new OA\Response(response: 200, description: 'The file as XLSX, bad cells marked')],
        ),
    ]
    #[InPath('number'), InPath('sheet'), Refused]
    public function marked(string $number, string $sheet): Response
    {
        $order = ChangeOrder::query()->where('number', $number)->firstOrFail();

        return OrderSheet::query()
            ->where('order_id', $order->id)
            ->findOrFail($sheet, ['id', 'marked_id'])
            ->markedFile($number);
    }
}
