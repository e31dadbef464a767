<?php

declare(strict_types=1);

namespace App\Problems\Actions;

use App\Ledger\Ledger;
use App\Numbers\NumberRange;
use App\People\Models\Person;
use App\Problems\Events\ReportRaised;
use App\Problems\Models\ProblemReport;
use App\Structures\NamedItems;
use Carbon\CarbonImmutable;

final readonly class RaiseReport
{
    public function __construct(private NumberRange $numbers, private Ledger $ledger) {}

    /**
     * @param  array{title: string, source: string, site: string, severity: string, description: string, serial: string}  $fields
     * @param  list<string>  $items  numbers of the items that it is about
     */
    public function __invoke(Person $by, array $fields, array $items): ProblemReport
    {
        return $this->ledger->together(function () use ($by, $fields, $items): ProblemReport {
            $found = NamedItems::ids($items);
            $report = ProblemReport::query()->create([
                ...$fields,
                'number' => $this->numbers->next('report'),
                'raised_by' => $by->id,
                'raised_at' => CarbonImmutable::now(),
            ]);
            $report->items()->attach($found);
            event(new ReportRaised($by->login, $report->number, $fields['title'], $fields['severity'], $items));

            return $report->refresh();
        });
    }
}
