<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Data\AssessmentPage;
use App\Assessment\Data\QuestionRow;
use App\Assessment\Data\StandingOfFunction;
use App\Assessment\Data\StandingOfItem;
use App\Assessment\Models\Question;
use App\Days\Today;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Data\ItemRow;
use App\Structures\Models\Item;
use App\Vocabulary\ChoiceList;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Assessment\Standing;
use Orthotaxis\Core\Calendar\Day;

final readonly class AssessmentReader
{
    public function of(string $number, Person $reader): AssessmentPage
    {
        $request = ChangeRequest::query()
            ->with(['items.category', 'items.everReleased', 'items.revisingOrders', 'items.picture'])
            ->where('number', $number)
            ->firstOrFail();
        $today = Today::day();
        $questions = Question::query()
            ->with(['item', 'request', 'person', 'holder', 'askedBy', 'answeredBy', 'file.person'])
            ->where('request_id', $request->id)
            ->get()
            ->sort(
                static fn(Question $a, Question $b): int => [
                    $a->state !== QuestionState::Waiting,
                    $b->answered_at ?? $b->asked_at,
                    $b->id,
                ] <=> [$b->state !== QuestionState::Waiting, $a->answered_at ?? $a->asked_at, $a->id],
            );

        // Those that can be asked, and what was asked of others before they were retired.
        $functions = array_values(
            array_unique([...array_keys(ChoiceList::CompanyFunction->offered('')), ...$questions->pluck('function')->all()]),
        );

        return new AssessmentPage(
            $request->items
                ->map(
                    static fn(Item $item): StandingOfItem => new StandingOfItem(
                        ItemRow::of($item),
                        array_map(
                            static fn(string $function): StandingOfFunction => self::standing(
                                $function,
                                $questions->where('item_id', $item->id)->where('function', $function),
                                $today,
                            ),
                            $functions,
                        ),
                    ),
                )
                ->values()
                ->all(),
            $questions->map(static fn(Question $question): QuestionRow => QuestionRow::of($question, $reader, $today))->values()->all(),
        );
    }

    /** @param  Collection<int, Question>  $questions */
    private static function standing(string $function, Collection $questions, Day $today): StandingOfFunction
    {
        $standing = Standing::of(
            $questions->map(static fn(Question $question): array => [$question->state, Day::parse($question->due_on)])->values()->all(),
            $today,
        );
        $waits = in_array($standing, [Standing::Overdue, Standing::Waiting], true);
        $by = $questions
            ->filter(
                static fn(Question $question): bool => $question->state !== QuestionState::Withdrawn &&
                    $waits === ($question->state === QuestionState::Waiting),
            )
            ->map(static fn(Question $question): string => $waits ? $question->asked() : $question->answeredBy->name ?? '');

        return new StandingOfFunction($function, $standing->value, $by->unique()->values()->all());
    }
}
