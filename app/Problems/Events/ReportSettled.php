<?php

declare(strict_types=1);

namespace App\Problems\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Report\ReportState;

/** A report is answered, sent back, a duplicate of another, or taken up again. */
final readonly class ReportSettled extends Deed
{
    /** @param  array<string, string>  $told */
    public function __construct(string $by, string $of, public ReportState $state, public array $told)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return $this->state === ReportState::Open ? 'report.taken_up' : "report.{$this->state->value}";
    }

    public function details(): array
    {
        return $this->told;
    }
}
