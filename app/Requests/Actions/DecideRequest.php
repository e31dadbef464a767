<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\People\Models\SeparationOfDuties;
use App\Requests\Events\RequestDecided;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Rights\Duty;

/** Approves a request, rejects it, or sends it back, each with a reason. */
final readonly class DecideRequest
{
    public function __construct(private Ledger $ledger) {}

    public function decide(Person $by, string $number, RequestState $decision, string $reason, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $decision, $reason, $version): void {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if ($request->state === RequestState::Raised || $request->state === RequestState::Returned) {
                throw Refusal::at('finding', 'Record the finding before the decision.');
            }
            if ($decision === RequestState::Assessing || $decision === RequestState::Ordered || !$request->state->mayBecome($decision)) {
                throw Refusal::at('decision', 'This request is decided already.');
            }
            if ($request->path_id !== null) {
                throw Refusal::at('decision', 'This request is judged on its approval path, step by step.');
            }
            $proposes = in_array($by->id, $request->proposers(), true);
            if (
                $proposes &&
                SeparationOfDuties::query()
                    ->firstOrFail()
                    ->rule()
                    ->bar(Duty::Decide, [Duty::Request]) !== null
            ) {
                throw Refusal::at('decision', 'Whoever raised a request does not decide on it. Another person must.');
            }
            if ($decision === RequestState::Approved && $proposes) {
                throw Refusal::at('decision', 'The originator of a request, or of one gathered into it, cannot approve it.');
            }
            $this->settle($by, $request, $decision, $reason);
        });
    }

    /**
     * Writes the decision down, of one person or of the last on a path.
     *
     * @param  ChangeRequest  $request  held
     * @param  ?Person  $decider  where another than who has done the last act
     */
    public function settle(Person $by, ChangeRequest $request, RequestState $decision, string $reason, ?Person $decider = null): void
    {
        $request->update([
            'state' => $decision,
            'decision_reason' => $reason,
            'decided_by' => ($decider ?? $by)->id,
            'decided_at' => CarbonImmutable::now(),
            'version' => $request->version + 1,
        ]);
        event(new RequestDecided($by->login, $request->number, $decision, $reason));
    }
}
