<?php

declare(strict_types=1);

namespace App\Manufacturing\Http;

use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Manufacturing\Actions\EditBuilt;
use App\Manufacturing\Actions\GatherKit;
use App\Manufacturing\BuiltRedlineReader;
use App\Manufacturing\Data\BuiltRedline;
use App\Manufacturing\Files\BuiltSheet;
use App\Manufacturing\ManufacturingContents;
use App\Orders\Http\SheetRequest;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\People\Models\Person;
use App\Tables\TableFile;
use App\Vocabulary\ChoiceList;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** What an order does to what a plant builds of an item. */
final readonly class BuiltController
{
    public function __construct(private EditBuilt $edit) {}

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/taken-over', operationId: 'takeOver', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(TakeOverRequest::class), Ok(Done::class), Refused]
    public function takeOver(
        string $number,
        string $item,
        string $plant,
        TakeOverRequest $request,
        #[CurrentUser] Person $person,
    ): JsonResponse {
        [$plant, $seen, $parts] = [self::known($plant), $request->integer('seen'), $request->parts()];

        return self::done(
            $parts === null
                ? $this->edit->takeOver($person, $number, $item, $plant, $request->lines(), $request->sibling(), $seen)
                : $this->edit->takeInto($person, $number, $item, $plant, $parts, $request->string('operation')->toString(), $seen),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/records', operationId: 'recordLine', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(RecordRequest::class), Ok(Done::class), Refused]
    public function record(string $number, string $item, string $plant, RecordRequest $request, #[CurrentUser] Person $person): JsonResponse
    {
        return self::done(
            $this->edit->putOnRecord($person, $number, $item, self::known($plant), $request->edit(), $request->integer('seen')),
        );
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/kits', operationId: 'gatherKit', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(KitRequest::class), Ok(Done::class), Refused]
    public function kit(
        string $number,
        string $item,
        string $plant,
        KitRequest $request,
        #[CurrentUser] Person $person,
        GatherKit $action,
    ): JsonResponse {
        [$kit, $seen] = [trim($request->string('kit')->toString()), $request->integer('seen')];

        return self::done($action->gather($person, $number, $item, self::known($plant), $kit, $request->lines(), $seen));
    }

    #[OA\Get(path: '/api/orders/{number}/items/{item}/plants/{plant}/redline', operationId: 'builtRedline', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Ok(BuiltRedline::class), Refused]
    public function show(
        string $number,
        string $item,
        string $plant,
        #[CurrentUser] Person $person,
        BuiltRedlineReader $redlines,
    ): JsonResponse {
        return new JsonResponse($redlines->one($person, $number, $item, self::known($plant)));
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/plants/{plant}/edits', operationId: 'editBuilt', tags: ['manufacturing'])]
    #[InPath('number'), InPath('item'), InPath('plant'), Takes(BuiltEdits::class), Ok(Done::class), Refused]
    public function edit(
        string $number,
        string $item,
        string $plant,
        BuiltEdits $request,
        #[CurrentUser] Person $person,
        ManufacturingContents $contents,
    ): JsonResponse {
        return self::done(
            $this->edit->make($person, $number, $item, self::known($plant), $request->edits($contents), $request->integer('seen')),
        );
    }

    #[
        OA\Get(
            path: '/api/orders/{number}/items/{item}/plants/{plant}/sheet/{format}',
            operationId: 'builtSheet',
            tags: ['manufacturing'],
            responses: [new OA\Response(response: 200, description: 'Operations, lines and records as they are to be: csv or xlsx')],
        ),
    ]
    #[InPath('number'), InPath('item'), InPath('plant'), InPath('format'), Refused]
    public function sheet(string $number, string $item, string $plant, string $format, BuiltRedlineReader $redlines): Response
    {
        $plant = self::known($plant);

        return TableFile::answer(
            BuiltSheet::of($item, $plant, $redlines->after($number, $item, $plant)),
            $format,
            "{$number}-{$item}-{$plant}",
        );
    }

    #[
        OA\Post(
            path: '/api/orders/{number}/items/{item}/plants/{plant}/sheet',
            operationId: 'readBuiltSheet',
            tags: ['manufacturing'],
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
    #[InPath('number'), InPath('item'), InPath('plant'), Ok(Done::class), Refused]
    public function readSheet(
        string $number,
        string $item,
        string $plant,
        SheetRequest $request,
        #[CurrentUser] Person $person,
    ): JsonResponse {
        return self::done(
            $this->edit->readSheet($person, $number, $item, self::known($plant), $request->sheet(), $request->integer('seen')),
        );
    }

    private static function done(WorkRecord $work): JsonResponse
    {
        return new JsonResponse(ChangeOrder::done($work->row->order->number));
    }

    private static function known(string $plant): string
    {
        return ChoiceList::Site->knows($plant) ? $plant : throw Refusal::at('plant', "There is no plant {$plant}.");
    }
}
