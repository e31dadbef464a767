<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Dossier\RequestPaths\Events\RequestStepGiven;
use App\Dossier\RequestPaths\Events\RequestStepSkipped;
use App\Ledger\Ledger;
use App\Paths\Models\Signature;
use App\Paths\PathProgress;
use App\Paths\RosterReader;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Approval\StepStanding;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Lets a step of the path of a request out, or gives it to others, with a reason on record. */
final readonly class SteerRequest
{
    public function __construct(private RequestContent $content, private JudgeRequest $judging, private Ledger $ledger) {}

    /** @param  list<string>  $to  sign-in names, and groups by their code behind "group:"; none: the step is left out */
    public function __invoke(Person $by, string $number, int $step, array $to, string $reason): void
    {
        $this->ledger->together(function () use ($by, $number, $step, $to, $reason): void {
            $request = ChangeRequest::hold($number);
            if ($request->path_id === null || $request->state !== RequestState::Assessing) {
                throw Refusal::at('request', 'Only a request that is being judged goes on its path.');
            }
            $digest = $this->content->digest($request);
            $change = new RequestOnPath($request, $digest);
            $run = PathProgress::of($change)->steps[$step] ?? throw Refusal::at('step', 'The path has no such step.');
            if (!in_array($run->standing, [StepStanding::Now, StepStanding::Ahead], true)) {
                throw Refusal::at('step', "“{$run->step->name}” is over.");
            }
            if ($to !== [] && array_diff(RosterReader::of($change, $to)->people($to), $change->barred()) === []) {
                throw Refusal::at('to', 'None of them may sign it.');
            }
            Signature::query()->create([
                'request_id' => $request->id,
                'person_id' => $by->id,
                'meaning' => $to === [] ? 'skipped' : 'reassigned',
                'reason' => $reason,
                'digest' => $digest,
                'signed_at' => CarbonImmutable::now(),
                'step' => $step,
                'given_to' => $to,
            ]);
            event(
                $to === []
                    ? new RequestStepSkipped($by->login, $number, $run->step->name, $reason)
                    : new RequestStepGiven($by->login, $number, step: $run->step->name, to: $to, reason: $reason),
            );
            $request->unsetRelation('signatures');
            $after = new RequestOnPath($request, $digest);
            if (PathProgress::of($after)->isDone() && $after->signatures()->where('meaning', 'signed')->isEmpty()) {
                throw Refusal::at('step', 'Somebody has to sign: give the step to others.');
            }
            $this->judging->settleWhenDone($by, $request);
        });
    }
}
