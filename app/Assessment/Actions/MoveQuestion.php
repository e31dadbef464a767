<?php

declare(strict_types=1);

namespace App\Assessment\Actions;

use App\Assessment\Events\QuestionClaimed;
use App\Assessment\Events\QuestionHandedBack;
use App\Assessment\Events\QuestionHandedOn;
use App\Assessment\Models\Question;
use App\Ledger\Ledger;
use App\People\Ability;
use App\People\Models\Person;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\Task;

/** A question is a task of its kind: one of those who are asked claims it, gives it back, or hands it on to somebody who knows more. */
final readonly class MoveQuestion
{
    public function __construct(private Ledger $ledger) {}

    /** @return string number of the request */
    public function claim(Person $by, int $id): string
    {
        return $this->turn($id, static function (Question $question) use ($by): void {
            if (!$by->mayDo(Ability::AnswerQuestion, $question->request->number)) {
                throw Refusal::at('question', 'Your role does not allow this for this plant or these items.');
            }
            $question->update(['holder_id' => $question->standing()->claim($by->id)->holder]);
            event(new QuestionClaimed($by->login, $question->request->number, $question->item->number, $question->text));
        });
    }

    /** @return string number of the request */
    public function handBack(Person $by, int $id, string $reason): string
    {
        return $this->turn($id, static function (Question $question) use ($by, $reason): void {
            $question->update(['holder_id' => $question->standing()->handBack($by->id, self::manages($by, $question))->holder]);
            event(new QuestionHandedBack($by->login, $question->request->number, $question->item->number, $question->text, $reason));
        });
    }

    /**
     * @param  string  $to  sign-in name
     * @return string number of the request
     */
    public function handOn(Person $by, int $id, string $to, string $reason): string
    {
        return $this->turn($id, static function (Question $question) use ($by, $to, $reason): void {
            $other = Person::query()->where('login', $to)->where('active', true)->first() ?? throw Refusal::at('to', 'Choose a person.');
            if (!$other->mayDo(Ability::AnswerQuestion, $question->request->number)) {
                throw Refusal::at('to', "{$other->name} may not answer questions.");
            }
            $question->standing()->handOn($by->id, self::manages($by, $question), Task::for([$other->id], false));
            $question->update(['person_id' => $other->id, 'role' => null, 'holder_id' => null]);
            event(
                new QuestionHandedOn(
                    $by->login,
                    $question->request->number,
                    item: $question->item->number,
                    question: $question->text,
                    to: $other->login,
                    reason: $reason,
                ),
            );
        });
    }

    /** Whether they may take it from who has it: whoever asks questions. */
    public static function manages(Person $by, Question $question): bool
    {
        return $by->mayDo(Ability::AssessRequest, $question->request->number);
    }

    /** @param  \Closure(Question): void  $act */
    private function turn(int $id, \Closure $act): string
    {
        return $this->ledger->together(static function () use ($id, $act): string {
            $question = Question::query()
                ->with(['request', 'item'])
                ->lockForUpdate()
                ->findOrFail($id);
            if (!$question->request->state->isOpen()) {
                throw Refusal::at('question', 'The request is closed.');
            }
            $act($question);

            return $question->request->number;
        });
    }
}
