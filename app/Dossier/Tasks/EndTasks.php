<?php

declare(strict_types=1);

namespace App\Dossier\Tasks;

use App\Ledger\Act;
use App\Orders\Events\OrderWithdrawn;
use App\People\Models\Person;
use App\Problems\Events\ReportSettled;
use App\Requests\Events\RequestDecided;
use App\Requests\Events\RequestGathered;
use App\Tasks\Actions\MoveTask;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Report\ReportState;

/** With a change that is given up its tasks are withdrawn: nobody goes on working for nothing. */
final readonly class EndTasks
{
    public function __construct(private MoveTask $tasks) {}

    public function handle(Act $act): void
    {
        $reason = match (true) {
            $act instanceof OrderWithdrawn => 'The order was withdrawn.',
            $act instanceof RequestDecided && $act->decision === RequestState::Rejected => 'The request was rejected.',
            $act instanceof RequestGathered => "The request was gathered into {$act->into}.",
            $act instanceof ReportSettled && $act->state !== ReportState::Returned => 'The report was settled.',
            default => null,
        };
        if ($reason !== null) {
            $this->tasks->withdrawAll(Person::query()->where('login', $act->by())->firstOrFail(), $act->of(), $reason);
        }
    }
}
