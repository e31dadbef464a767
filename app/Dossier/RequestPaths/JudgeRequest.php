<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Dossier\RequestPaths\Events\RequestSentBack;
use App\Dossier\RequestPaths\Events\RequestSigned;
use App\Ledger\Ledger;
use App\Paths\Models\Signature;
use App\Paths\PathProgress;
use App\Paths\SentBackTo;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Actions\DecideRequest;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Hash;
use Orthotaxis\Core\Approval\PathStep;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/**
 * A request on its path: whoever is asked signs their step, sends it back or rejects it. With the last step it is approved.
 */
final readonly class JudgeRequest
{
    public function __construct(private RequestContent $content, private DecideRequest $decision, private Ledger $ledger) {}

    /**
     * @param  string  $digest  of what the signer had on screen
     * @param  ?int  $step  of the path; null: the first that they can sign
     * @param  list<string>  $ticked  rows of the check list of the step
     * @param  string  $reason  why, in their words; may be empty
     *
     * @throws Refusal when this person may not sign this content now
     */
    public function sign(Person $by, string $number, string $password, string $digest, ?int $step, array $ticked, string $reason): void
    {
        $this->ledger->together(function () use ($by, $number, $password, $digest, $step, $ticked, $reason): void {
            $request = self::held($number);
            $change = $this->judged($request);
            $progress = PathProgress::of($change);
            if (in_array($by->id, $request->proposers(), true)) {
                throw Refusal::at(
                    'signer',
                    'You raised this request, one gathered into it or a report it answers: another person must judge it.',
                );
            }
            $can = $progress->signable($by->id);
            if ($can === []) {
                throw Refusal::at('signer', 'The path of this request asks other people now.');
            }
            if ($digest !== $this->content->digest($request)) {
                throw Refusal::at('request', 'The request is not what you had on screen. Read it again before you sign.');
            }
            $step ??= (int) array_key_first($can);
            $for = $can[$step] ?? throw Refusal::at('step', 'It is not your turn at this step.');
            $of = $progress->steps[$step]->step;
            $of->mustBeTicked($ticked);
            if ($of->withPassword && !Hash::check($password, $by->password)) {
                throw Refusal::at(
                    'password',
                    $password === '' ? 'Sign with your password.' : 'This is not your password. Nothing was signed.',
                );
            }
            self::keep($request, $by, 'signed', $digest, [
                'step' => $step,
                'for_id' => $for === $by->id ? null : $for,
                'said' => $of->meaning->value,
                'checks' => $of->checks,
                'reason' => $reason,
            ]);
            event(new RequestSigned($by->login, $number, step: $of->name, digest: $digest, checks: $of->checks, reason: $reason));
            $this->settleWhenDone($by, $request);
        });
    }

    /**
     * To whoever raised it, or to an earlier stage of its path: what was signed from there on is void.
     *
     * @throws Refusal when it cannot be sent back there
     */
    public function sendBack(Person $by, string $number, string $reason, int $stage = PathStep::EDITOR): void
    {
        $this->ledger->together(function () use ($by, $number, $reason, $stage): void {
            $request = self::held($number);
            $change = $this->judged($request);
            $progress = PathProgress::of($change);
            $toAny = $by->mayDo(Ability::AssessRequest, $number);
            $toAny || self::mustBeAsked($by, $progress);
            if ($stage !== PathStep::EDITOR && !in_array($stage, SentBackTo::stages($by, $change, $progress, $toAny), true)) {
                throw Refusal::at('stage', 'It cannot be sent back there.');
            }
            self::keep($request, $by, 'sent_back', $this->content->digest($request), ['reason' => $reason, 'stage' => $stage]);
            $taken = array_keys(array_filter($change->path()->steps, static fn(PathStep $step): bool => $step->stage >= $stage));
            Signature::query()
                ->where('request_id', $request->id)
                ->where('meaning', '!=', 'sent_back')
                ->whereIn('step', $taken)
                ->update(['void' => true]);
            $request->unsetRelation('signatures');
            if ($stage === PathStep::EDITOR) {
                $this->decision->settle($by, $request, RequestState::Returned, $reason);
            } else {
                $request->update(['version' => $request->version + 1]);
                event(new RequestSentBack($by->login, $number, $stage, $reason));
            }
        });
    }

    /** @throws Refusal when the path does not ask this person now */
    public function reject(Person $by, string $number, string $reason): void
    {
        $this->ledger->together(function () use ($by, $number, $reason): void {
            $request = self::held($number);
            self::mustBeAsked($by, PathProgress::of($this->judged($request)));
            $this->decision->settle($by, $request, RequestState::Rejected, $reason);
        });
    }

    /**
     * The last step is over: the request is approved, for the reasons of those who signed.
     *
     * @param  ChangeRequest  $request  held
     */
    public function settleWhenDone(Person $by, ChangeRequest $request): void
    {
        $request->unsetRelation('signatures');
        $change = $this->judged($request);
        $signed = $change->signatures()->where('meaning', 'signed')->sortBy('id');
        if (!PathProgress::of($change)->isDone() || $signed->isEmpty()) {
            $request->update(['version' => $request->version + 1]);

            return;
        }
        $signed->load('person');
        $reasons = $signed
            ->filter(static fn(Signature $one): bool => $one->reason !== '')
            ->map(static fn(Signature $one): string => "{$one->person->name}: {$one->reason}")
            ->implode("\n");
        $this->decision->settle(
            $by,
            $request,
            RequestState::Approved,
            $reasons === '' ? "All steps of “{$request->path?->name}” are signed." : $reasons,
            decider: $signed->last()?->person,
        );
    }

    private function judged(ChangeRequest $request): RequestOnPath
    {
        return new RequestOnPath($request, $this->content->digest($request));
    }

    private static function held(string $number): ChangeRequest
    {
        $request = ChangeRequest::hold($number);
        if ($request->path_id === null) {
            throw Refusal::at('request', 'This request goes on no approval path: one person decides on it.');
        }
        if ($request->state !== RequestState::Assessing) {
            throw Refusal::at('request', $request->state->isUndecided() ? 'Record the finding first.' : 'This request is decided already.');
        }

        return $request;
    }

    private static function mustBeAsked(Person $by, Progress $progress): void
    {
        if (!$progress->awaits($by->id)) {
            throw Refusal::at('signer', 'The path of this request asks other people now.');
        }
    }

    /** @param  array<string, mixed>  $besides */
    private static function keep(ChangeRequest $request, Person $by, string $meaning, string $digest, array $besides): void
    {
        Signature::query()->create([
            'request_id' => $request->id,
            'person_id' => $by->id,
            'meaning' => $meaning,
            'digest' => $digest,
            'signed_at' => CarbonImmutable::now(),
            ...$besides,
        ]);
    }
}
