<?php

declare(strict_types=1);

namespace App\Problems\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Problems\Events\ReportSettled;
use App\Problems\Models\ProblemReport;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Report\ReportState;

/** What is done about a report: answered, sent back with a question, told to be the same as another; and taken up again. */
final readonly class SettleReport
{
    public function __construct(private Ledger $ledger) {}

    /** Answers it without a request, or sends it back with a question. */
    public function say(Person $by, string $number, ReportState $state, string $text, int $version): void
    {
        $this->move(
            $by,
            $number,
            $state,
            $version,
            static fn(): array => ['answer' => $text, 'settled_by' => $by->id, 'settled_at' => CarbonImmutable::now()],
            ['text' => $text],
        );
    }

    public function duplicate(Person $by, string $number, string $of, int $version): void
    {
        $this->move(
            $by,
            $number,
            ReportState::Duplicate,
            $version,
            static function (ProblemReport $report) use ($by, $of): array {
                $same = ProblemReport::query()->where('number', $of)->first() ?? throw Refusal::at('of', "There is no report {$of}.");
                // One report stands for all of the same; so a chain never grows, nor a ring.
                $same = $same->sameAs ?? $same;
                if ($same->id === $report->id) {
                    throw Refusal::at('of', "{$of} is a duplicate of {$report->number} already.");
                }
                ProblemReport::query()
                    ->where('same_as_id', $report->id)
                    ->update(['same_as_id' => $same->id]);

                return ['same_as_id' => $same->id, 'settled_by' => $by->id, 'settled_at' => CarbonImmutable::now()];
            },
            ['of' => $of],
        );
    }

    /** Whoever raised it answers what it was sent back for. */
    public function reply(Person $by, string $number, string $text, int $version): void
    {
        $this->move(
            $by,
            $number,
            ReportState::Open,
            $version,
            static function (ProblemReport $report) use ($by, $text): array {
                if ($report->state !== ReportState::Returned) {
                    throw Refusal::at('report', 'This report was not sent back.');
                }
                if ($report->raised_by !== $by->id) {
                    throw Refusal::at('report', 'Only the originator of the report answers it.');
                }

                return [
                    'description' => "{$report->description}\n\nAsked: {$report->answer}\n{$by->name} answers: {$text}",
                    'answer' => '',
                ];
            },
            ['text' => $text],
        );
    }

    /** Takes up again what was settled. */
    public function reopen(Person $by, string $number, int $version): void
    {
        $this->move(
            $by,
            $number,
            ReportState::Open,
            $version,
            static function (ProblemReport $report): array {
                if ($report->state === ReportState::Gathered) {
                    throw Refusal::at('report', 'Unlink it from its requests first.');
                }

                return ['same_as_id' => null, 'settled_by' => null, 'settled_at' => null];
            },
            [],
        );
    }

    /**
     * @param  \Closure(ProblemReport): array<string, mixed>  $change
     * @param  array<string, mixed>  $told
     */
    private function move(Person $by, string $number, ReportState $state, int $version, \Closure $change, array $told): void
    {
        $this->ledger->together(function () use ($by, $number, $state, $version, $change, $told): void {
            $report = ProblemReport::hold($number);
            $report->mustBeAt($version);
            if (!$report->state->mayBecome($state)) {
                throw Refusal::at('report', "{$number} is settled already. Reopen it first.");
            }
            $act = $state === ReportState::Open ? 'report.taken_up' : "report.{$state->value}";
            $report->update([...$change($report), 'state' => $state, 'version' => $version + 1]);
            event(new ReportSettled($by->login, $number, $state, $told));
        });
    }
}
