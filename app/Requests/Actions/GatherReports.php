<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Problems\Models\ProblemReport;
use App\Requests\Events\ReportGathered;
use App\Requests\Events\ReportsGathered;
use App\Requests\Events\ReportTakenOff;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Report\ReportState;

/** Links reports to a request that answers them, many to many, and takes them off again. The request gets their items. */
final readonly class GatherReports
{
    public function __construct(private Ledger $ledger) {}

    /** @param  list<string>  $reports  numbers */
    public function into(Person $by, ChangeRequest $request, array $reports): void
    {
        $this->ledger->together(function () use ($by, $request, $reports): void {
            sort($reports);
            foreach ($reports as $number) {
                $report =
                    ProblemReport::query()->where('number', $number)->lockForUpdate()->first() ??
                    throw Refusal::at('reports', "There is no report {$number}.");
                if (!$report->state->mayBecome(ReportState::Gathered)) {
                    throw Refusal::at('reports', "{$number} is settled already. Reopen it first.");
                }
                $report->requests()->syncWithoutDetaching([$request->id]);
                $request->items()->syncWithoutDetaching($report->items()->pluck('items.id')->all());
                $report->update(['state' => ReportState::Gathered, 'version' => $report->version + 1]);
                event(new ReportGathered($by->login, $number, $request->number));
            }
            if ($reports !== []) {
                event(new ReportsGathered($by->login, $request->number, $reports));
            }
        });
    }

    public function apart(Person $by, string $number, string $request): void
    {
        $this->ledger->together(function () use ($by, $number, $request): void {
            $report = ProblemReport::hold($number);
            if ($report->requests()->where('request_numbers.number', $request)->doesntExist()) {
                throw Refusal::at('report', "{$number} is not linked to {$request}.");
            }
            $report->requests()->detach(ChangeRequest::query()->where('number', $request)->valueOrFail('id'));
            $report->update([
                'state' => $report->requests()->exists() ? ReportState::Gathered : ReportState::Open,
                'version' => $report->version + 1,
            ]);
            event(new ReportTakenOff($by->login, $number, $request));
        });
    }
}
