<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

use App\Assessment\Models\Question;
use App\People\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\RequestState;

/** Questions of an assessment that nobody has answered. */
final readonly class Questions implements Matters
{
    public function waiting(): iterable
    {
        $questions = Question::query()
            ->with(['request', 'item', 'askedBy'])
            ->where('state', QuestionState::Waiting->value)
            ->whereHas('request', static fn(Builder $request): Builder => $request->whereNotIn('state', RequestState::closed()))
            ->orderBy('id')
            ->get();
        $people = Person::query()->where('active', true)->get();
        foreach ($questions as $question) {
            yield new Matter(
                key: "question {$question->id}",
                change: $question->request->number,
                title: $question->request->title,
                path: "/changes/{$question->request->number}",
                called: "Question about {$question->item->number}: {$question->text}",
                due: Day::parse($question->due_on),
                people: array_values(
                    $people
                        ->filter(static fn(Person $one): bool => $question->asks($one))
                        ->map(static fn(Person $one): int => $one->id)
                        ->all(),
                ),
                escalateTo: [$question->askedBy->id],
                remind: config()->integer('notices.remind_days'),
                escalate: config()->integer('notices.escalate_days'),
            );
        }
    }
}
