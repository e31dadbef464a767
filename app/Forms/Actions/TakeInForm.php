<?php

declare(strict_types=1);

namespace App\Forms\Actions;

use App\Assessment\Actions\AskQuestion;
use App\Assessment\Models\Question;
use App\Attachments\Actions\BringFile;
use App\Attachments\AttachmentRole;
use App\Attachments\Models\ChangeFile;
use App\Days\Today;
use App\Forms\Docx\Package;
use App\Forms\Events\FormTakenBack;
use App\Forms\Events\FormTakenIn;
use App\Forms\Models\HandedForm;
use App\Forms\ReturnedFile;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Requests\Actions\AssessRequest;
use App\Requests\Models\ChangeRequest;
use App\Tasks\Actions\MakeTasks;
use App\Tasks\Actions\MoveTask;
use App\Tasks\Assignee;
use App\Tasks\Models\ChangeTask;
use App\Tasks\PlannedTask;
use App\Tasks\TaskKind;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Form\FormState;
use Orthotaxis\Core\Form\Proposal;
use Orthotaxis\Core\Form\TagUse;
use Orthotaxis\Core\Refusal;

/** Does what a form that came back asks for, as far as it was chosen; all or nothing. And takes all that back. */
final readonly class TakeInForm
{
    public function __construct(
        private AskQuestion $questions,
        private BringFile $files,
        private AssessRequest $findings,
        private MakeTasks $tasks,
        private MoveTask $moves,
        private Ledger $ledger,
    ) {}

    /** @param  list<string>  $tags  what of it is chosen */
    public function in(Person $by, string $number, string $path, string $name, array $tags, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $path, $name, $tags, $version): void {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            $returned = ReturnedFile::read($path, $request);
            // Two who take it in at once take turns by the request; the second one is told.
            $form = $returned->form;
            $chosen = array_values(
                array_filter($returned->proposals, static fn(Proposal $proposal): bool => in_array($proposal->tag, $tags, true)),
            );
            $faults = [];
            foreach ($chosen as $proposal) {
                if ($proposal->fault !== null) {
                    $faults["tags.{$proposal->tag}"] = "{$proposal->label}: {$proposal->fault}";
                }
            }
            if ($faults !== []) {
                throw Refusal::because($faults);
            }
            $taken = ['fields' => [], 'finding' => '', 'questions' => [], 'tasks' => [], 'files' => [], 'form' => null, 'told' => []];
            $found = [];
            foreach ($chosen as $proposal) {
                $taken['told'][] = self::told($proposal);
                match ($proposal->use) {
                    TagUse::Field => ($taken['fields'][$proposal->field->value ?? ''] = [$proposal->before, $proposal->after]),
                    TagUse::Finding => ($found[] = $proposal->after),
                    TagUse::Task => array_push($taken['tasks'], ...$this->make($by, $number, $proposal)),
                    TagUse::Question => array_push($taken['questions'], ...$this->ask($by, $number, $proposal)),
                    TagUse::Attachment => ($taken['files'][] = $this->attach($by, $request, $returned, $proposal)),
                    TagUse::Nothing => null,
                };
            }
            if ($taken['fields'] !== []) {
                $request->update([
                    ...array_map(static fn(array $change): string => $change[1], $taken['fields']),
                    'version' => $version + 1,
                ]);
            }
            if ($found !== []) {
                $taken['finding'] = "By form {$form->number}, " . Today::day() . ":\n" . implode("\n", $found);
                $this->findings->assess($by, $number, ltrim("{$request->finding}\n\n{$taken['finding']}"), $request->version);
            }
            $hash = (string) hash_file('sha256', $path);
            $taken['form'] =
                ChangeFile::query()->where('request_id', $request->id)->where('sha256', $hash)->value('id') ??
                $this->files->keep($by, $request, AttachmentRole::Form, $path, $name, Package::MEDIA_TYPE)->id;
            $form->update([
                'state' => FormState::TakenIn,
                'settled_by' => $by->id,
                'settled_at' => CarbonImmutable::now(),
                'taken' => $taken,
            ]);
            event(new FormTakenIn($by->login, $number, $form->number, $hash, $taken['told']));
        });
    }

    /** Puts back what it changed, as far as that still stands; the file stays, and the form may come back again. */
    public function back(Person $by, string $number): HandedForm
    {
        return $this->ledger->together(function () use ($by, $number): HandedForm {
            $form = HandedForm::hold($number);
            $request = $form->request;
            if ($form->state !== FormState::TakenIn || $form->taken === null) {
                throw Refusal::at('form', "{$number} is not imported.");
            }
            if (!$request->state->isAssessed()) {
                throw Refusal::at('form', "{$request->number} is not being assessed any more; what the form brought stays.");
            }
            $taken = $form->taken;
            $fields = array_filter(
                $taken['fields'],
                static fn(array $change, string $field): bool => $request->getAttribute($field) === $change[1],
                ARRAY_FILTER_USE_BOTH,
            );
            $finding = $taken['finding'] === '' ? $request->finding : trim(str_replace($taken['finding'], '', $request->finding));
            $request->update([
                ...array_map(static fn(array $change): string => $change[0], $fields),
                'finding' => $finding,
                'version' => $request->version + 1,
            ]);
            Question::query()
                ->whereIn('id', $taken['questions'])
                ->where('state', QuestionState::Waiting->value)
                ->update(['state' => QuestionState::Withdrawn->value]);
            foreach (
                ChangeTask::openOf($request->number)
                    ->whereIn('number', $taken['tasks'] ?? [])
                    ->pluck('number')
                as $task
            ) {
                $this->moves->withdraw($by, (string) $task, "The form {$number} was taken back.");
            }
            ChangeFile::query()->whereIn('id', $taken['files'])->delete();
            $form->update(['state' => FormState::Out, 'settled_by' => null, 'settled_at' => null, 'taken' => null]);
            event(new FormTakenBack($by->login, $request->number, $number));

            return $form;
        });
    }

    /** @return list<int> */
    private function ask(Person $by, string $number, Proposal $proposal): array
    {
        $plan = $proposal->question ?? throw new \LogicException('A question has a plan.');

        return $this->questions->ask(
            $by,
            $number,
            [$proposal->item],
            [
                'function' => $plan->function,
                'topic' => $plan->topic,
                'text' => $proposal->after,
                'due_on' => (string) $proposal->due,
            ],
            $plan->to,
        );
    }

    /** @return list<string> its number */
    private function make(Person $by, string $number, Proposal $proposal): array
    {
        $plan = $proposal->task ?? throw new \LogicException('A task has a plan.');
        $text = trim(mb_substr($proposal->after, mb_strlen($plan->title)));

        return ($this->tasks)($by, $number, [
            new PlannedTask(
                to: Assignee::named($plan->to),
                kind: TaskKind::from($plan->kind),
                title: $plan->title,
                text: $text,
                dueOn: (string) $proposal->due,
            ),
        ]);
    }

    private function attach(Person $by, ChangeRequest $request, ReturnedFile $returned, Proposal $proposal): string
    {
        return $returned->withPicture(
            $proposal,
            fn(string $path): string => $this->files->bring(
                $by,
                $request,
                AttachmentRole::Evidence,
                $path,
                "{$returned->form->number} {$proposal->label}",
            )->id,
        );
    }

    private static function told(Proposal $proposal): string
    {
        return match ($proposal->use) {
            TagUse::Field => "{$proposal->label}: {$proposal->after}",
            TagUse::Question => "Question about {$proposal->item}: {$proposal->after}",
            TagUse::Task => "Task: {$proposal->after}",
            TagUse::Attachment => "Picture: {$proposal->label}",
            default => $proposal->after,
        };
    }
}
