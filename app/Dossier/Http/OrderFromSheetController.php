<?php

declare(strict_types=1);

namespace App\Dossier\Http;

use App\Dossier\Sheet\Data\RaisedFromSheet;
use App\Dossier\Sheet\OrderSheetColumns;
use App\Dossier\Sheet\RaiseFromSheet;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Orders\Http\OrderSheetRequest;
use App\Orders\Sheet\OrderSheet;
use App\People\Models\Person;
use App\Tables\TableFile;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** An order that begins as a sheet: an empty one to fill in, and what becomes of it. */
final readonly class OrderFromSheetController
{
    #[
        OA\Get(
            path: '/api/order-sheet/{format}',
            operationId: 'emptyOrderSheet',
            tags: ['changes'],
            responses: [new OA\Response(response: 200, description: 'An empty sheet of an order: csv, xlsx or json')],
        ),
    ]
    #[InPath('format'), Refused]
    public function empty(string $format): Response
    {
        $table = OrderSheetColumns::empty();

        return match ($format) {
            'csv', 'xlsx' => TableFile::answer($table, $format, 'new-order'),
            'json' => new JsonResponse(
                ['format' => 'orthotaxis-new-order', 'version' => 1, 'head' => $table->head, 'rows' => []],
                headers: ['Content-Disposition' => 'attachment; filename=new-order.json'],
            ),
            default => throw Refusal::at('format', 'An empty sheet can be had as csv, xlsx or json.'),
        };
    }

    #[
        OA\Post(
            path: '/api/order-sheet',
            operationId: 'raiseFromSheet',
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
                        ],
                    ),
                ),
            ),
        ),
    ]
    #[Ok(RaisedFromSheet::class), Refused]
    public function raise(OrderSheetRequest $request, #[CurrentUser] Person $person, RaiseFromSheet $action): JsonResponse
    {
        return new JsonResponse($action->of($person, $request->sheet(), $request->string('keep')->toString() === 'yes'));
    }

    #[
        OA\Get(
            path: '/api/order-sheet/marked/{sheet}',
            operationId: 'markedOrderSheet',
            tags: ['changes'],
            responses: [new OA\Response(response: 200, description: 'What you brought as XLSX, bad cells marked')],
        ),
    ]
    #[InPath('sheet'), Refused]
    public function marked(string $sheet, #[CurrentUser] Person $person): Response
    {
        return OrderSheet::query()
            ->whereNull('order_id')
            ->where('person_id', $person->id)
            ->findOrFail($sheet, ['id', 'marked_id'])
            ->markedFile('new-order');
    }
}
