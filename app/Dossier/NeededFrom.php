<?php

declare(strict_types=1);

namespace App\Dossier;

use App\Assessment\Models\Question;
use App\FollowThrough\DocumentsLeft;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\People\Rights;
use App\Problems\Models\ProblemReport;
use App\Releases\Models\Handover;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Models\ChangeTask;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Report\ReportState;

/** The changes that need something of a person now, by the rule that puts them on a desk. */
final readonly class NeededFrom
{
    /** @return list<string> numbers, in a number of queries that does not depend on how many there are */
    public static function numbers(Person $person): array
    {
        $orders = ChangeOrder::orders()
            ->with(['actors', 'parent'])
            ->whereNotIn('state', OrderState::ended())
            ->get();
        $handovers = Handover::query()
            ->whereIn('order_id', $orders->modelKeys())
            ->get(['id', 'order_id', 'state'])
            ->groupBy('order_id');
        $undone = UndoneTasks::of(array_values($orders->map(static fn(ChangeOrder $one): string => $one->number)->all()));
        $left = DocumentsLeft::of($orders->modelKeys(), $person);
        $reports = ProblemReport::query()->whereIn('state', ReportState::open())->get();
        $requests = ChangeRequest::query()->with('actors')->whereNotIn('state', RequestState::closed())->get();
        app(Rights::class)->look($person->roles, $reports, $requests, $orders);
        $needed = [
            ...$reports->filter(static fn(ProblemReport $one): bool => Needs::ofReport($one, $person) !== null)->pluck('number'),
            ...$requests->filter(static fn(ChangeRequest $one): bool => Needs::ofRequest($one, $person) !== null)->pluck('number'),
            ...$orders
                ->filter(
                    static fn(ChangeOrder $one): bool => Needs::ofOrder(
                        $one,
                        $handovers[$one->id] ?? new Collection(),
                        $undone,
                        $left[$one->id] ?? null,
                        $person,
                    ) !== null,
                )
                ->pluck('number'),
            ...ChangeTask::needing($person)->pluck('change'),
            ...Question::needing($person)->with('request')->get()->pluck('request.number'),
        ];

        return array_values(array_unique(array_filter($needed, is_string(...))));
    }
}
