<?php

declare(strict_types=1);

namespace App\Notices;

use App\Assessment\Models\Question;
use App\Dossier\RequestPaths\RequestContent;
use App\Dossier\RequestPaths\RequestOnPath;
use App\Meetings\Models\BoardMeeting;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Paths\OrderOnPath;
use App\Paths\Judged;
use App\Paths\PathProgress;
use App\Paths\StepTimes;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Models\ChangeTask;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Sabre\VObject\Component\VCalendar;

/**
 * The days that concern one person, as a calendar to subscribe to (RFC 5545): when tasks, questions and steps of approval paths are due,
 * when the orders that they take part in or watch become effective, and when the board meets.
 */
final readonly class PersonalCalendar
{
    public static function of(Person $person): string
    {
        $calendar = new VCalendar([
            'PRODID' => '-//Orthotaxis//Days//EN',
            'NAME' => 'Orthotaxis',
            'X-WR-CALNAME' => 'Orthotaxis',
            'REFRESH-INTERVAL;VALUE=DURATION' => 'PT1H',
        ]);
        // A calendar has one component at least, also that of somebody who has no days.
        $zone = $calendar->createComponent('VTIMEZONE', ['TZID' => 'UTC']);
        $zone->add(
            $calendar->createComponent('STANDARD', ['DTSTART' => '19700101T000000', 'TZOFFSETFROM' => '+0000', 'TZOFFSETTO' => '+0000']),
        );
        $calendar->add($zone);
        $now = CarbonImmutable::now()->utc();
        foreach (self::days($person) as [$id, $day, $summary, $path]) {
            $on = CarbonImmutable::parse($day);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "{$id}@orthotaxis",
                'DTSTAMP' => $now,
                'SUMMARY' => $summary,
                'URL' => url($path),
                'TRANSP' => 'TRANSPARENT',
            ]);
            $event->add('DTSTART', $on, ['VALUE' => 'DATE']);
            $event->add('DTEND', $on->addDay(), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        foreach (self::meetings($person) as $meeting) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "meeting-{$meeting->id}@orthotaxis",
                'DTSTAMP' => $now,
                'SUMMARY' => 'Change board meeting',
                'URL' => url('/meeting'),
            ]);
            $event->add('DTSTART', $meeting->starts_at->utc());
            $event->add('DTEND', $meeting->endsAt()->utc());
            if ($meeting->place !== '') {
                $event->add('LOCATION', $meeting->place);
            }
            $calendar->add($event);
        }

        return (string) $calendar->serialize();
    }

    /** @return list<array{string, string, string, string}> identity, day, what, and the page on which it is seen */
    private static function days(Person $person): array
    {
        $days = [];
        foreach (ChangeTask::needing($person)->whereNotNull('due_on')->orderBy('id')->get() as $task) {
            $days[] = ["task-{$task->number}", (string) $task->due_on, "{$task->number} due: {$task->title}", "/tasks/{$task->number}"];
        }
        foreach (self::questions($person) as $question) {
            $days[] = [
                "question-{$question->id}",
                $question->due_on,
                "{$question->request->number} answer due: {$question->text}",
                "/changes/{$question->request->number}",
            ];
        }
        array_push($days, ...self::steps($person));
        foreach (self::orders($person) as $order) {
            $days[] = [
                "effective-{$order->number}",
                (string) $order->effective_on,
                "{$order->number} effective: {$order->title}" . ($order->state === OrderState::Released ? '' : ' (planned)'),
                "/changes/{$order->number}",
            ];
        }

        return $days;
    }

    /** @return list<array{string, string, string, string}> of approval paths, that the person can sign now and that are due some day */
    private static function steps(Person $person): array
    {
        $orders = ChangeOrder::query()
            ->with('path')
            ->where('state', OrderState::InReview)
            ->whereNotNull('path_id')
            ->whereIn('id', DB::table('order_actors')->where('person_id', $person->id)->select('order_id'))
            ->orderBy('id')
            ->get();
        $cores = app(OrderReader::class)->many($orders);
        $days = [];
        foreach ($orders as $order) {
            $change = new OrderOnPath($order, $cores[$order->id]->proposers());
            array_push($days, ...self::stepsOf($person, $change, $order->title, "/orders/{$order->number}/review"));
        }
        $requests = ChangeRequest::query()
            ->with('path')
            ->where('state', RequestState::Assessing->value)
            ->whereNotNull('path_id')
            ->whereIn('id', DB::table('request_actors')->where('person_id', $person->id)->select('request_id'))
            ->orderBy('id')
            ->get();
        foreach ($requests as $request) {
            $change = new RequestOnPath($request, app(RequestContent::class)->digest($request));
            array_push($days, ...self::stepsOf($person, $change, $request->title, "/changes/{$request->number}/decision"));
        }

        return $days;
    }

    /** @return list<array{string, string, string, string}> */
    private static function stepsOf(Person $person, Judged $change, string $title, string $page): array
    {
        $progress = PathProgress::of($change);
        $since = StepTimes::since($change, $progress);
        $days = [];
        foreach (array_keys($progress->signable($person->id)) as $at) {
            $step = $progress->steps[$at]->step;
            $due = isset($since[$at]) ? StepTimes::due($step, $since[$at], $change->daysMoved()) : null;
            if ($due !== null) {
                $days[] = [
                    "step-{$change->number()}-{$at}",
                    (string) $due,
                    "{$change->number()} review due: {$step->name}, {$title}",
                    $page,
                ];
            }
        }

        return $days;
    }

    /** @return iterable<BoardMeeting> to come, for those who decide on requests */
    private static function meetings(Person $person): iterable
    {
        return $person->mayDo(Ability::DecideRequest) ? BoardMeeting::ahead()->get() : [];
    }

    /** @return iterable<Question> */
    private static function questions(Person $person): iterable
    {
        return Question::needing($person)
            ->with('request')
            ->whereHas('request', static fn(Builder $request): Builder => $request->whereNotIn('state', RequestState::closed()))
            ->orderBy('id')
            ->get();
    }

    /** @return iterable<ChangeOrder> that are not withdrawn, with a day, of the last year and to come */
    private static function orders(Person $person): iterable
    {
        return ChangeOrder::orders()
            ->whereNotNull('effective_on')
            ->where('effective_on', '>=', CarbonImmutable::today()->subYear()->toDateString())
            ->where('state', '!=', OrderState::Withdrawn->value)
            ->where(static function (Builder $any) use ($person): void {
                $any->whereIn('id', DB::table('people_of_orders')->where('person_id', $person->id)->select('order_id'))->orWhereIn(
                    'number',
                    DB::table('watches')->where('person_id', $person->id)->select('change'),
                );
            })
            ->orderBy('id')
            ->get();
    }
}
