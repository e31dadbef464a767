<?php

declare(strict_types=1);

namespace App\Economics\Http;

use App\Economics\Actions\SayFigure;
use App\Economics\Data\MoneyPage;
use App\Economics\MoneyReader;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What a request costs. */
final readonly class MoneyController
{
    public function __construct(private MoneyReader $reader, private SayFigure $action) {}

    #[OA\Get(path: '/api/requests/{number}/money', operationId: 'money', tags: ['assessment'])]
    #[InPath('number'), InQuery('anew'), Ok(MoneyPage::class), Refused]
    public function show(string $number, Request $request): JsonResponse
    {
        return new JsonResponse($this->reader->of($number, $request->boolean('anew')));
    }

    #[OA\Post(path: '/api/requests/{number}/figures', operationId: 'sayFigure', tags: ['assessment'])]
    #[InPath('number'), Takes(NewFigure::class), Ok(Done::class), Refused]
    public function say(string $number, NewFigure $request, #[CurrentUser] Person $person): JsonResponse
    {
        $choice = $request->string('choice')->toString();
        $this->action->say(
            $person,
            $number,
            $request->kind(),
            $request->string('subject')->trim()->toString(),
            $choice === '' ? null : $choice,
            $request->amount(),
            $request->string('reason')->toString(),
            $request->integer('seen'),
        );

        return new JsonResponse(ChangeRequest::done($number));
    }

    #[OA\Delete(path: '/api/requests/{number}/figures/{id}', operationId: 'takeFigureBack', tags: ['assessment'])]
    #[InPath('number'), InPath('id'), Ok(Done::class), Refused]
    public function takeBack(string $number, int $id, #[CurrentUser] Person $person): JsonResponse
    {
        $this->action->takeBack($person, $number, $id);

        return new JsonResponse(ChangeRequest::done($number));
    }
}
