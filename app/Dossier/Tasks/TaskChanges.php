<?php

declare(strict_types=1);

namespace App\Dossier\Tasks;

use App\Orders\Models\ChangeOrder;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Tasks\ChangesOfTasks;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** What tasks want to know of reports, requests and orders. */
final readonly class TaskChanges implements ChangesOfTasks
{
    public function holdOpen(string $number): void
    {
        $change = self::find($number);
        $held = $change::hold($number);
        $hasEnded = match (true) {
            $held instanceof ProblemReport => !$held->isOpen(),
            // A request that is in an order goes on with it.
            $held instanceof ChangeRequest => in_array($held->state, [RequestState::Rejected, RequestState::Gathered], true),
            default => in_array($held->state, [...OrderState::ended(), OrderState::Proposed], true),
        };
        if ($hasEnded) {
            throw Refusal::at('change', "{$number} has ended.");
        }
    }

    public function title(string $number): string
    {
        return self::find($number)->title;
    }

    private static function find(string $number): ProblemReport|ChangeRequest|ChangeOrder
    {
        return ProblemReport::query()->where('number', $number)->first() ??
            (ChangeRequest::query()->where('number', $number)->first() ?? ChangeOrder::query()->where('number', $number)->firstOrFail());
    }
}
