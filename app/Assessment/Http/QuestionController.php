<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Actions\AnswerQuestion;
use App\Assessment\Actions\AskQuestion;
use App\Assessment\Actions\MoveQuestion;
use App\Assessment\AssessmentReader;
use App\Assessment\Data\AssessmentPage;
use App\Http\Api\InPath;
use App\Http\Api\Ok;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What specialists are asked about the items of a request. */
final readonly class QuestionController
{
    public function __construct(private AssessmentReader $reader) {}

    #[OA\Get(path: '/api/requests/{number}/questions', operationId: 'questions', tags: ['assessment'])]
    #[InPath('number'), Ok(AssessmentPage::class), Refused]
    public function index(string $number, #[CurrentUser] Person $person): JsonResponse
    {
        return new JsonResponse($this->reader->of($number, $person));
    }

    #[OA\Post(path: '/api/requests/{number}/questions', operationId: 'askQuestion', tags: ['assessment'])]
    #[InPath('number'), Takes(NewQuestion::class), Ok(Done::class), Refused]
    public function ask(string $number, NewQuestion $request, #[CurrentUser] Person $person, AskQuestion $action): JsonResponse
    {
        /** @var array{items: list<string>, function: string, topic: string, text: string, due_on: string, to: string} $asked */
        $asked = $request->validated();
        ['items' => $items, 'to' => $to, 'function' => $function, 'topic' => $topic, 'text' => $text, 'due_on' => $due] = $asked;
        $action->ask($person, $number, $items, ['function' => $function, 'topic' => $topic, 'text' => $text, 'due_on' => $due], $to);

        return new JsonResponse(ChangeRequest::done($number));
    }

    #[
        OA\Post(
            path: '/api/questions/{id}/answer',
            operationId: 'answerQuestion',
            tags: ['assessment'],
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: NewAnswer::class)),
            ),
        ),
    ]
    #[InPath('id'), Ok(Done::class), Refused]
    public function answer(int $id, NewAnswer $request, #[CurrentUser] Person $person, AnswerQuestion $action): JsonResponse
    {
        return new JsonResponse(
            ChangeRequest::done(
                $action(
                    $person,
                    $id,
                    $request->boolean('no_effect'),
                    $request->string('answer')->toString(),
                    $request->money('one_time'),
                    $request->money('recurring'),
                    $request->brought(),
                    $request->integer('seen'),
                ),
            ),
        );
    }

    #[OA\Delete(path: '/api/questions/{id}', operationId: 'withdrawQuestion', tags: ['assessment'])]
    #[InPath('id'), Ok(Done::class), Refused]
    public function withdraw(int $id, #[CurrentUser] Person $person, AskQuestion $action): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($action->withdraw($person, $id)));
    }

    #[OA\Post(path: '/api/questions/{id}/claim', operationId: 'claimQuestion', tags: ['assessment'])]
    #[InPath('id'), Ok(Done::class), Refused]
    public function claim(int $id, #[CurrentUser] Person $person, MoveQuestion $action): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($action->claim($person, $id)));
    }

    #[OA\Post(path: '/api/questions/{id}/hand-back', operationId: 'handQuestionBack', tags: ['assessment'])]
    #[InPath('id'), Takes(QuestionMove::class), Ok(Done::class), Refused]
    public function handBack(int $id, QuestionMove $request, #[CurrentUser] Person $person, MoveQuestion $action): JsonResponse
    {
        return new JsonResponse(ChangeRequest::done($action->handBack($person, $id, $request->string('text')->trim()->toString())));
    }

    #[OA\Post(path: '/api/questions/{id}/hand-on', operationId: 'handQuestionOn', tags: ['assessment'])]
    #[InPath('id'), Takes(QuestionMove::class), Ok(Done::class), Refused]
    public function handOn(int $id, QuestionMove $request, #[CurrentUser] Person $person, MoveQuestion $action): JsonResponse
    {
        $to = $request->string('to')->toString();

        return new JsonResponse(ChangeRequest::done($action->handOn($person, $id, $to, $request->string('text')->trim()->toString())));
    }
}
