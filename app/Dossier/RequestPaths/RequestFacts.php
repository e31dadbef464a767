<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Economics\MoneyReader;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Orthotaxis\Core\Approval\Fact;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Work;

/** What is so of a request: what it costs, where and why it was raised, which items it names, and what it proposes to change. */
final readonly class RequestFacts
{
    public function __construct(private MoneyReader $money, private OrderReader $orders) {}

    /** @return array<string, list<string>> as core's Facts take them */
    public function of(ChangeRequest $request): array
    {
        $request->loadMissing(['items.category', 'reports', 'gathered.reports']);
        $money = $this->money->of($request->number);
        $proposal = ChangeOrder::query()->where('number', $request->number)->where('state', OrderState::Proposed)->first();
        $core = $proposal === null ? null : $this->orders->toCore($proposal);
        $works = $core?->works() ?? [];
        $told = [
            Fact::OneTimeCost->value => [$money->one_time_total],
            Fact::YearlyCost->value => [$money->yearly_total],
            Fact::Priority->value => [$request->priority],
            Fact::Severity->value => $request->reports
                ->concat($request->gathered->flatMap->reports)
                ->map(static fn(ProblemReport $one): string => $one->severity)
                ->all(),
            Fact::Reason->value => [$request->reason],
            Fact::Plant->value => [$request->site, ...array_map(static fn(Work $work): string => $work->subject->plant, $works)],
            Fact::Category->value => $request->items->map(static fn(Item $item): string => $item->category->code ?? '')->all(),
            Fact::SubjectKind->value => array_map(static fn(Work $work): string => $work->subject->kind, $works),
            Fact::Outcome->value => array_map(static fn(OrderItem $item): string => $item->outcome->value, $core->items ?? []),
        ];

        return array_map(
            static fn(array $values): array => array_values(
                array_unique(array_filter($values, static fn(string $one): bool => $one !== '')),
            ),
            $told,
        );
    }
}
