<?php

declare(strict_types=1);

namespace App\Assessment\Actions;

use App\Assessment\Events\QuestionAsked;
use App\Assessment\Events\QuestionWithdrawn;
use App\Assessment\Models\Question;
use App\Ledger\Ledger;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Refusal;

/** Asks one thing about each of some items of a request, and withdraws what was asked. */
final readonly class AskQuestion
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<string>  $items  numbers
     * @param  array{function: string, topic: string, text: string, due_on: string}  $fields
     * @param  string  $to  sign-in name of a person, or a role
     * @return list<int> ids of the questions
     */
    public function ask(Person $by, string $number, array $items, array $fields, string $to): array
    {
        return $this->ledger->together(function () use ($by, $number, $items, $fields, $to): array {
            $request = ChangeRequest::hold($number);
            if (!$request->state->isOpen()) {
                throw Refusal::at('request', "{$number} is closed.");
            }
            $affected = $request->items->pluck('id', 'number');
            $person = Person::query()->where('login', $to)->value('id');
            $asked = [];
            foreach ($items as $item) {
                $asked[] = Question::query()->create([
                    ...$fields,
                    'request_id' => $request->id,
                    'item_id' => $affected[$item] ?? throw Refusal::at('items', "{$item} is not affected by {$number}."),
                    'person_id' => $person,
                    'role' => $person === null ? $to : null,
                    'asked_by' => $by->id,
                    'asked_at' => CarbonImmutable::now(),
                ])->id;
            }
            event(new QuestionAsked($by->login, $number, items: $items, to: $to, text: $fields['text'], due: $fields['due_on']));

            return $asked;
        });
    }

    public function withdraw(Person $by, int $id): string
    {
        return $this->ledger->together(function () use ($by, $id): string {
            $question = Question::query()->with('request')->lockForUpdate()->findOrFail($id);
            $by->mustKeepTo(Ability::AssessRequest, $question->request->number, 'question');
            if ($question->state !== QuestionState::Waiting) {
                throw Refusal::at('question', 'It is answered already; the answer stays.');
            }
            $question->update(['state' => QuestionState::Withdrawn]);
            event(new QuestionWithdrawn($by->login, $question->request->number, $question->text));

            return $question->request->number;
        });
    }
}
