<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Assessment\Actions\AnswerQuestion;
use App\Assessment\Actions\AskQuestion;
use App\Assessment\Models\Question;
use App\CutIn\Actions\ChooseCutIn;
use App\CutIn\CutInReader;
use App\Dossier\Actions\RaiseOrder;
use App\Dossier\Proposals\ProposeLines;
use App\Economics\Actions\SayFigure;
use App\Economics\FigureKind;
use App\FollowThrough\Actions\CloseOrder;
use App\ItemData\Actions\EditItemData;
use App\Manufacturing\Actions\EditBuilt;
use App\Manufacturing\OrderAccountReader;
use App\Orders\Actions\DecideBelongings;
use App\Orders\Actions\EditStructure;
use App\Orders\Actions\KeepIteration;
use App\Orders\Actions\MoveOrder;
use App\Orders\Actions\PlanOrder;
use App\Orders\Actions\PutItemOnOrder;
use App\Orders\Actions\SignOrder;
use App\Orders\Belongings\BelongingRows;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderReader;
use App\Orders\Subjects\NamedWork;
use App\People\Models\Person;
use App\Problems\Actions\RaiseReport;
use App\Problems\Actions\SettleReport;
use App\Problems\Models\ProblemReport;
use App\Reach\Actions\DecideReach;
use App\Releases\Actions\ReleaseOrder;
use App\Requests\Actions\AssessRequest;
use App\Requests\Actions\DecideRequest;
use App\Requests\Actions\GatherReports;
use App\Requests\Actions\GatherRequests;
use App\Requests\Actions\RaiseRequest;
use App\Requests\Models\ChangeRequest;
use App\Structures\ItemKind;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Date;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Change\BelongingState;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Report\ReportState;
use Orthotaxis\Core\Structure\Structure;

/** Lets the people of the demo do what people do, on past days, through the same acts as on screen. */
final class ChangeStory
{
    private const SIGNING = 'demo';

    /** @var array<string, Person> */
    private array $people = [];

    private readonly CarbonImmutable $today;

    private readonly CarbonImmutable $now;

    public function __construct()
    {
        $this->now = CarbonImmutable::now();
        $this->today = CarbonImmutable::today();
        foreach (Person::query()->get() as $person) {
            // For the signatures of the demo's past a cheap password does, kept nowhere.
            $person->setRawAttributes(
                ['password' => password_hash(self::SIGNING, PASSWORD_BCRYPT, ['cost' => 4])] + $person->getAttributes(),
            );
            $this->people[$person->login] = $person;
        }
    }

    /**
     * Nothing has happened in the future: before noon, the hours of this morning are as long ago as they are before noon.
     *
     * @param  int  $days  ago
     */
    public function on(int $days, int $hour = 9): self
    {
        $noon = $this->now->hour < 12 ? $this->now : $this->now->setTime(12, 0);
        Date::setTestNow($days === 0 ? $noon->subHours(12 - $hour) : $this->today->subDays($days)->setTime($hour, ($days * 7) % 60));

        return $this;
    }

    public function backToToday(): void
    {
        Date::setTestNow();
    }

    /** @param  list<string>  $items */
    public function request(
        string $by,
        string $title,
        string $reason,
        string $source,
        string $site,
        string $priority,
        string $description,
        array $items,
    ): string {
        return app(RaiseRequest::class)->raise(
            $this->people[$by],
            compact('title', 'reason', 'source', 'site', 'priority', 'description'),
            $items,
        )->number;
    }

    /** @param  list<string>  $items */
    public function report(
        string $by,
        string $title,
        string $source,
        string $site,
        string $severity,
        string $description,
        string $serial,
        array $items,
    ): string {
        return app(RaiseReport::class)($this->people[$by], compact('title', 'source', 'site', 'severity', 'description', 'serial'), $items)
            ->number;
    }

    public function settle(string $report, ReportState $state, string $text): void
    {
        app(SettleReport::class)->say($this->people['mira.okafor'], $report, $state, $text, $this->reportVersion($report));
    }

    public function same(string $report, string $of): void
    {
        app(SettleReport::class)->duplicate($this->people['mira.okafor'], $report, $of, $this->reportVersion($report));
    }

    /** @param  list<string>  $reports */
    public function gather(string $request, array $reports): void
    {
        app(GatherReports::class)->into(
            $this->people['mira.okafor'],
            ChangeRequest::query()->where('number', $request)->firstOrFail(),
            $reports,
        );
    }

    /** @param  list<string>  $items */
    public function ask(string $request, array $items, string $function, string $topic, string $text, string $to, int $inDays): void
    {
        app(AskQuestion::class)->ask(
            $this->people['mira.okafor'],
            $request,
            $items,
            compact('function', 'topic', 'text') + ['due_on' => CarbonImmutable::today()->addDays($inDays)->toDateString()],
            $to,
        );
    }

    public function answer(string $request, string $item, string $by, string $text, ?string $once, ?string $perUnit): void
    {
        $answer = app(AnswerQuestion::class);
        $answer(
            $this->people[$by],
            $this->asked($request, $item, $by)->id,
            false,
            $text,
            $once === null ? null : Money::parse($once),
            $perUnit === null ? null : Money::parse($perUnit),
            null,
        );
    }

    public function figure(string $request, FigureKind $kind, string $subject, ?string $choice, ?int $amount, string $reason): void
    {
        app(SayFigure::class)->say($this->people['mira.okafor'], $request, $kind, $subject, $choice, $amount, $reason);
    }

    public function reach(string $request, string $reason, string $number, bool $taken, string $why): void
    {
        app(DecideReach::class)($this->people['mira.okafor'], $request, ["{$reason} {$number}"], $taken, $why);
    }

    /** @param  list<string>  $others  requests */
    public function gatherRequests(string $into, array $others): void
    {
        app(GatherRequests::class)->into($this->people['mira.okafor'], $into, $others, $this->requestVersion($into));
    }

    public function withdraw(string $order, string $reason): void
    {
        app(MoveOrder::class)->withdraw($this->people['mira.okafor'], $order, $reason, $this->version($order));
    }

    public function noEffect(string $request, string $item, string $by, string $text): void
    {
        app(AnswerQuestion::class)($this->people[$by], $this->asked($request, $item, $by)->id, true, $text, null, null, null);
    }

    public function withdrawQuestion(string $request, string $item, string $of): void
    {
        app(AskQuestion::class)->withdraw($this->people['mira.okafor'], $this->asked($request, $item, $of)->id);
    }

    private function asked(string $request, string $item, string $of): Question
    {
        return Question::query()
            ->whereRelation('request', 'number', $request)
            ->whereRelation('item', 'number', $item)
            ->where('person_id', $this->people[$of]->id)
            ->latest('id')
            ->firstOrFail();
    }

    private function reportVersion(string $report): int
    {
        return (int) ProblemReport::query()->where('number', $report)->value('version');
    }

    public function assess(string $request, string $finding): void
    {
        app(AssessRequest::class)->assess($this->people['mira.okafor'], $request, $finding, $this->requestVersion($request));
    }

    public function decide(string $request, RequestState $decision, string $reason): void
    {
        app(DecideRequest::class)->decide($this->people['mira.okafor'], $request, $decision, $reason, $this->requestVersion($request));
    }

    /**
     * The best day by what is asked.
     *
     * @param  array<string, mixed>  $question  as CutInQuestion checks it
     */
    public function cutIn(string $request, array $question, string $reason): string
    {
        $best = app(CutInReader::class)->plan($question)->best;
        $day = $best->least_cost ?? throw new \LogicException("No day is possible for {$request}.");
        app(ChooseCutIn::class)($this->people['mira.okafor'], $request, $question, $day, $reason);

        return $day;
    }

    public function order(string $request): string
    {
        return app(RaiseOrder::class)->from($this->people['mira.okafor'], $request)->number;
    }

    /** @param  ?string  $path  code of an approval path; null: the signer alone */
    public function plan(string $order, string $editor, string $signer, int $effectiveInDays, ?string $path = null): void
    {
        app(PlanOrder::class)->plan(
            $this->people['mira.okafor'],
            $order,
            [
                'editor' => $editor,
                'signer' => $signer,
                'path' => $path,
                'effective_on' => CarbonImmutable::today()->addDays($effectiveInDays)->toDateString(),
            ],
            $this->version($order),
        );
    }

    public function name(string $order, string $item, Outcome $outcome, ?Disposition $disposition): void
    {
        app(PutItemOnOrder::class)->put($this->people['mira.okafor'], $order, $item, $outcome, $disposition, $this->version($order));
    }

    public function open(string $order): void
    {
        app(MoveOrder::class)->openForRevision($this->people['mira.okafor'], $order, $this->version($order));
    }

    /** The items of a request are open for its lines; whoever raised it edits them. */
    public function propose(string $request): void
    {
        $by = ChangeRequest::query()->with('raisedBy')->where('number', $request)->firstOrFail()->raisedBy;
        app(ProposeLines::class)->open($by, $request, []);
    }

    /** @param  list<LineEdit>  $edits */
    public function edit(string $order, string $item, array $edits): void
    {
        foreach ($edits as $edit) {
            app(EditStructure::class)->make($this->editor($order), $order, $item, $edit, PHP_INT_MAX);
        }
    }

    public function keep(string $order, string $item, string $note): void
    {
        app(KeepIteration::class)->keep($this->editor($order), new NamedWork($order, $item), $note);
    }

    private function editor(string $order): Person
    {
        return ChangeOrder::query()->with('editor')->where('number', $order)->firstOrFail()->editor ??
            throw new \LogicException("{$order} has no editor.");
    }

    /** Edits what a plant builds of an item. */
    public function build(string $order, string $item, string $plant, Edit $edit): void
    {
        app(EditBuilt::class)->make($this->editor($order), $order, $item, $plant, [$edit], PHP_INT_MAX);
    }

    /** @param  non-empty-array<string, string>  $fields  of an item, by key */
    public function data(string $order, string $item, array $fields): void
    {
        $edits = array_map(static fn(string $key): SetField => new SetField(DataField::of($key), $fields[$key]), array_keys($fields));
        app(EditItemData::class)->set($this->editor($order), $order, $item, $edits, PHP_INT_MAX);
    }

    /** What follows from engineering is taken over at every plant first. */
    /** What is not taken over yet at plants is taken over. */
    public function takeOver(string $order): void
    {
        foreach (app(OrderAccountReader::class)->read(ChangeOrder::query()->where('number', $order)->firstOrFail()) as $plant) {
            if ($plant->open > 0) {
                app(EditBuilt::class)->takeOver($this->editor($order), $order, $plant->item, $plant->plant, [], null, PHP_INT_MAX);
            }
        }
    }

    public function submit(string $order): void
    {
        $this->takeOver($order);
        $this->together($order);
        app(MoveOrder::class)->submit($this->people['mira.okafor'], $order, $this->version($order));
    }

    /** What belongs together: documents hold for what comes as they are written, drawings follow with their next change. */
    public function together(string $order): void
    {
        $rows = ['adopts' => [], 'left' => []];
        foreach (app(BelongingRows::class)->of(ChangeOrder::query()->where('number', $order)->firstOrFail()) as $row) {
            if ($row->state === 'open') {
                $becomes = $row->kind === 'document' && $row->other->kind === ItemKind::Document->label() ? 'adopts' : 'left';
                $rows[$becomes][] = ['item' => $row->item, 'kind' => $row->kind, 'number' => $row->other->number, 'fault' => $row->fault];
            }
        }
        foreach (array_filter($rows) as $becomes => $some) {
            app(DecideBelongings::class)(
                $this->people['mira.okafor'],
                $order,
                $some,
                BelongingState::from($becomes),
                reason: $becomes === 'left' ? 'The drawing does not show what changes; it follows with its next change.' : '',
                version: $this->version($order),
            );
        }
    }

    /**
     * @param  ?string  $by  one of those whose turn it is on its path; null: its signer
     * @param  list<string>  $checks  ticked of the step
     */
    public function sign(string $order, ?string $by = null, array $checks = []): void
    {
        $model = ChangeOrder::query()->with('signer')->where('number', $order)->firstOrFail();
        $digest = Digest::of(app(OrderReader::class)->toCore($model));
        app(SignOrder::class)->sign($this->people[$by ?? ($model->signer->login ?? '')], $order, self::SIGNING, $digest, ticked: $checks);
    }

    public function sendBack(string $order, string $by, string $reason): void
    {
        app(SignOrder::class)->sendBack($this->people[$by], $order, $reason);
    }

    public function release(string $order): void
    {
        app(ReleaseOrder::class)->release($this->people['mira.okafor'], $order, $this->version($order));
    }

    public function close(string $order): void
    {
        app(CloseOrder::class)($this->people['mira.okafor'], $order, $this->version($order));
    }

    /** @return string the key of the line of an item's newest released engineering structure that names a component */
    public function line(string $item, string $component): string
    {
        return (string) StructureLine::query()
            ->join('revisions', 'revisions.id', '=', 'structure_lines.content_id')
            ->join('items AS parent', 'parent.id', '=', 'revisions.item_id')
            ->join('items AS child', 'child.id', '=', 'structure_lines.component_id')
            ->where('revisions.status', 'released')
            ->where('parent.number', $item)
            ->where('child.number', $component)
            ->valueOrFail('line_key');
    }

    /** What engineering declares of an item as it will be under the order. */
    public function lines(string $order, string $item): Structure
    {
        foreach (
            app(OrderReader::class)
                ->toCore(ChangeOrder::query()->where('number', $order)->firstOrFail())
                ->works()
            as $work
        ) {
            if ($work->subject->item === $item && $work->after instanceof EngineeringContent) {
                return $work->after->structure;
            }
        }
        throw new \LogicException("{$order} does nothing to {$item}.");
    }

    private function version(string $order): int
    {
        return (int) ChangeOrder::query()->where('number', $order)->valueOrFail('version');
    }

    private function requestVersion(string $request): int
    {
        return (int) ChangeRequest::query()->where('number', $request)->valueOrFail('version');
    }
}
