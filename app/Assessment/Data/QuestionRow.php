<?php

declare(strict_types=1);

namespace App\Assessment\Data;

use App\Assessment\Actions\MoveQuestion;
use App\Assessment\Models\Question;
use App\Assessment\Topic;
use App\Attachments\Data\ChangeFileRow;
use App\People\Ability;
use App\People\Models\Person;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Money;

#[OA\Schema]
final readonly class QuestionRow
{
    /** @param  list<string>  $may */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $item,
        #[OA\Property(description: 'its code')] public string $function,
        #[OA\Property(enum: Topic::class)] public string $topic,
        #[OA\Property] public string $text,
        #[OA\Property(description: 'the person or the role')] public string $asked,
        #[OA\Property(description: 'who of the role has claimed it')] public ?string $held_by,
        #[OA\Property] public string $asked_by,
        #[OA\Property] public string $due_on,
        #[OA\Property(enum: QuestionState::class)] public string $state,
        #[OA\Property] public bool $overdue,
        #[OA\Property(description: 'whether whoever reads this may answer')] public bool $mine,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string', enum: ['claim', 'hand_back', 'hand_on']),
                description: 'what whoever reads this may do with it besides',
            ),
        ]
        public array $may,
        #[OA\Property] public string $answer,
        #[OA\Property] public ?string $one_time,
        #[OA\Property(description: 'for one unit of the item')] public ?string $recurring,
        #[OA\Property] public ?string $answered_by,
        #[OA\Property] public ?string $answered_at,
        #[OA\Property(description: 'how often it was answered')] public int $version,
        #[OA\Property(ref: ChangeFileRow::class, nullable: true)] public ?ChangeFileRow $file,
    ) {}

    public static function of(Question $question, Person $reader, Day $today): self
    {
        $waiting = $question->state === QuestionState::Waiting;
        $money = static fn(?int $amount): ?string => $amount === null ? null : (string) Money::ofTenThousandths($amount);

        return new self(
            id: $question->id,
            item: $question->item->number,
            function: $question->function,
            topic: $question->topic->value,
            text: $question->text,
            asked: $question->asked(),
            held_by: $question->holder?->name,
            asked_by: $question->askedBy->name,
            due_on: $question->due_on,
            state: $question->state->value,
            overdue: $waiting && Day::parse($question->due_on)->isBefore($today),
            mine: $question->asks($reader) && $question->state !== QuestionState::Withdrawn,
            may: self::may($question, $reader),
            answer: $question->answer,
            one_time: $money($question->one_time),
            recurring: $money($question->recurring),
            answered_by: $question->answeredBy?->name,
            answered_at: $question->answered_at?->toIso8601String(),
            version: $question->version,
            file: $question->file === null ? null : ChangeFileRow::of($question->file),
        );
    }

    /** @return list<string> */
    private static function may(Question $question, Person $reader): array
    {
        if ($question->state !== QuestionState::Waiting || !$question->request->state->isOpen()) {
            return [];
        }
        $manages = MoveQuestion::manages($reader, $question);
        $isMine = $question->asks($reader) && $reader->mayDo(Ability::AnswerQuestion, $question->request->number);
        $isHeld = $question->holder_id !== null;

        return [
            ...$isMine && !$isHeld && $question->role !== null ? ['claim'] : [],
            ...$isHeld && ($isMine || $manages) && $question->standing()->hasOthers() ? ['hand_back'] : [],
            ...$manages || ($isMine && ($isHeld || $question->role === null)) ? ['hand_on'] : [],
        ];
    }
}
