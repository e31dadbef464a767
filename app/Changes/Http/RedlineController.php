<?php

declare(strict_types=1);

namespace App\Changes\Http;

use App\Changes\Actions\EditStructure;
use App\Changes\Data\Redline;
use App\Changes\RedlineReader;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\People\Models\Person;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Structure\LineField;

/** The structure of an item under an order. Every act answers with the redline as it is then. */
final readonly class RedlineController
{
    public function __construct(private RedlineReader $redlines, private EditStructure $action) {}

    #[OA\Get(path: '/api/orders/{number}/items/{item}/redline', operationId: 'redline', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Ok(Redline::class), Refused]
    public function show(string $number, string $item, #[CurrentUser] Person $person): JsonResponse
    {
        return $this->redline($person, $number, $item);
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/edits', operationId: 'editLine', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Takes(LineEdit::class), Ok(Redline::class), Refused]
    public function edit(string $number, string $item, LineEdit $request, #[CurrentUser] Person $person): JsonResponse
    {
        /** @var array<value-of<LineField>, ?string> $fields */
        $fields = $request->validated('fields');
        $this->action->make(
            $person, $number, $item,
            EditOperation::from($request->string('operation')->toString()),
            $request->string('line')->toString(),
            array_map(static fn (?string $text): string => $text ?? '', $fields),
            $request->integer('seen'),
        );

        return $this->redline($person, $number, $item);
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/undo', operationId: 'undoEdit', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Ok(Redline::class), Refused]
    public function undo(string $number, string $item, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->undo($person, $number, $item);

        return $this->redline($person, $number, $item);
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/redo', operationId: 'redoEdit', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Ok(Redline::class), Refused]
    public function redo(string $number, string $item, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->redo($person, $number, $item);

        return $this->redline($person, $number, $item);
    }

    #[OA\Post(path: '/api/orders/{number}/items/{item}/newer', operationId: 'bringInNewer', tags: ['changes'])]
    #[InPath('number'), InPath('item'), Ok(Redline::class), Refused]
    public function bringInNewer(string $number, string $item, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->bringInNewer($person, $number, $item);

        return $this->redline($person, $number, $item);
    }

    private function redline(Person $person, string $number, string $item): JsonResponse
    {
        return new JsonResponse($this->redlines->one($person, $number, $item));
    }
}
