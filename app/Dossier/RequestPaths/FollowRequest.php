<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Dossier\RequestPaths\Events\RequestMovedOn;
use App\Dossier\RequestPaths\Events\RequestPathChosen;
use App\Dossier\RequestPaths\Events\RequestSignaturesVoid;
use App\Economics\Events\FigureSaid;
use App\Economics\Events\FigureTakenBack;
use App\Ledger\Act;
use App\Paths\ChosenByRule;
use App\Paths\Judges;
use App\Paths\LeaveTasks;
use App\Paths\Models\Signature;
use App\Paths\PathProgress;
use App\Paths\PathTasks;
use App\People\Models\Person;
use App\Releases\Events\RevisionReleased;
use App\Requests\Events\RequestAssessed;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Events\TaskDone;
use App\Tasks\Events\TaskMade;
use App\Tasks\Events\TaskWithdrawn;
use Illuminate\Database\Eloquent\Collection;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Change\RequestState;

/**
 * Keeps up with what is done to a request that is being judged: a rule chooses its path until somebody has signed or chosen by hand; what
 * was signed of something else than what it is now is void, on record; it is written down who can act; and the tasks of the path are made.
 */
final readonly class FollowRequest
{
    /** With which what a request costs is known, or is another. */
    private const COSTS = [RequestAssessed::class, FigureSaid::class, FigureTakenBack::class];

    public function __construct(
        private RequestContent $content,
        private RequestFacts $facts,
        private KeptRequestActors $actors,
        private MakeRequestTasks $tasks,
        private LeaveTasks $leave,
        private JudgeRequest $judging,
    ) {}

    public function handle(Act $act): void
    {
        // A release tells of hundreds of revisions: none of them is asked about.
        if ($act instanceof TaskMade || $act instanceof RevisionReleased) {
            return;
        }
        $about = $act->details()['request'] ?? $act->of();
        $request = ChangeRequest::query()->where('number', $about)->first();
        if ($request === null) {
            return;
        }
        if ($request->state === RequestState::Assessing) {
            $this->choose($act, $request);
            $request->path_id === null || $this->void($act, $request);
        }
        $act instanceof RequestPathChosen && $this->leave($act, $request);
        if ($request->path_id !== null) {
            $this->actors->keep($request);
            $request->state === RequestState::Assessing && $this->goOn($act, $request);
        }
    }

    /** What was left out, given to others or to be done on the path before is of that path alone. */
    private function leave(RequestPathChosen $act, ChangeRequest $request): void
    {
        Signature::query()
            ->where('request_id', $request->id)
            ->where('meaning', '!=', 'sent_back')
            ->update(['void' => true]);
        $request->unsetRelation('signatures');
        ($this->leave)(self::person($act, $request), $request->number, $request->path_id);
        $this->actors->keep($request);
    }

    /** What is to be done in the stage that is under way is made tasks; with the last of them the request goes on by itself. */
    private function goOn(Act $act, ChangeRequest $request): void
    {
        $by = self::person($act, $request);
        $change = new RequestOnPath($request, $this->content->digest($request));
        $stage = PathProgress::of($change)->stage;
        ($this->tasks)($by, $request, $change, $stage);
        $ended = $act instanceof TaskDone || $act instanceof TaskWithdrawn ? $act->task : null;
        if ($ended !== null && PathTasks::isLeft($change, $ended, $stage)) {
            event(new RequestMovedOn($act->by(), $request->number, $stage));
            $this->judging->settleWhenDone($by, ChangeRequest::hold($request->number));
        }
    }

    /** A system that acts for nobody acts in the name of who raised the request. */
    private static function person(Act $act, ChangeRequest $request): Person
    {
        return Person::query()->where('login', $act->by())->first() ?? $request->raisedBy;
    }

    private function choose(Act $act, ChangeRequest $request): void
    {
        $hasCost = in_array($act::class, self::COSTS, true);
        $mayChoose = $request->path_by_rule && $this->held($request)->isEmpty() && ChosenByRule::hasRules(Judges::Requests);
        if (!$mayChoose && ($request->path_id === null || !$hasCost)) {
            return;
        }
        $facts = $hasCost || $request->facts === [] ? $this->facts->of($request) : $request->facts;
        $path = $mayChoose ? ChosenByRule::of(Judges::Requests, static fn(): Facts => new Facts($facts))?->id : $request->path_id;
        $isOther = $path !== $request->path_id;
        // Its version stays: who read the page as it was goes on so.
        ChangeRequest::query()
            ->whereKey($request->id)
            ->update(['facts' => json_encode($facts, JSON_THROW_ON_ERROR), 'path_id' => $path]);
        $request->refresh();
        if ($isOther) {
            event(new RequestPathChosen($act->by(), $request->number, $request->path?->code, byRule: true));
        }
    }

    private function void(Act $act, ChangeRequest $request): void
    {
        $digest = $this->content->digest($request);
        $lost = $this->held($request)->where('digest', '!=', $digest);
        if ($lost->isEmpty()) {
            return;
        }
        Signature::query()
            ->whereKey($lost->modelKeys())
            ->update(['void' => true]);
        $request->unsetRelation('signatures');
        $lost->load('person');
        event(new RequestSignaturesVoid($act->by(), $request->number, array_values($lost->pluck('person.login')->map(strval(...))->all())));
    }

    /** @return Collection<int, Signature> */
    private function held(ChangeRequest $request): Collection
    {
        return $request->signatures->where('meaning', 'signed')->where('void', false);
    }
}
