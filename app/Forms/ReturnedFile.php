<?php

declare(strict_types=1);

namespace App\Forms;

use App\Attachments\Models\ChangeFile;
use App\Days\Today;
use App\Files\FileContent;
use App\Forms\Models\HandedForm;
use App\People\Models\Person;
use App\People\Rights;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use App\Tasks\Assignee;
use Orthotaxis\Core\Form\Control;
use Orthotaxis\Core\Form\FormState;
use Orthotaxis\Core\Form\Proposal;
use Orthotaxis\Core\Form\ReturnedForm;
use Orthotaxis\Core\Form\TagUse;
use Orthotaxis\Core\Refusal;

/** A form that came back: whose it is, and what it asks for. Looking at it and taking it in read the same. */
final readonly class ReturnedFile
{
    /**
     * @param  array<string, Control>  $controls  pictures by their relationship
     * @param  list<Proposal>  $proposals
     */
    private function __construct(public HandedForm $form, public array $proposals, private FormFile $file, private array $controls) {}

    /** @throws Refusal when it is damaged, foreign, of another request, taken in already, withdrawn or outdated */
    public static function read(string $path, ChangeRequest $request): self
    {
        $file = FormFile::open($path);
        $form =
            HandedForm::query()
                ->with(['template', 'request', 'settledBy'])
                ->where('code', $file->code() ?? '')
                ->first() ?? throw Refusal::at('file', 'This form was not issued here: its form number is missing or unknown.');
        if ($form->request_id !== $request->id) {
            throw Refusal::at('file', "This is {$form->number}, a form of {$form->request->number}. Upload it there.");
        }
        $told = $form->settledBy === null ? '' : " by {$form->settledBy->name} on {$form->settled_at?->format('Y-m-d')}";
        match (true) {
            $form->state === FormState::TakenIn => throw Refusal::at('file', "{$form->number} was imported already{$told}."),
            $form->state === FormState::Withdrawn => throw Refusal::at('file', "{$form->number} was withdrawn{$told}."),
            $form->template->sha256 !== $form->template_sha256 => throw Refusal::at(
                'file',
                "{$form->number} is outdated: its template was replaced on {$form->template->file_changed_at->format(
                    'Y-m-d',
                )}. Issue a new one.",
            ),
            !$request->state->isAssessed() => throw Refusal::at(
                'file',
                "{$form->number} is outdated: {$request->number} is not being assessed any more.",
            ),
            default => null,
        };
        $controls = $file->sheet->controlsLike($form->template->sheet());
        $returned = new ReturnedForm(
            $form->handed,
            RecordValues::plain($request),
            array_map(static fn(array $offered): array => array_map(strval(...), array_keys($offered)), RecordValues::offered($request)),
            array_values($request->items->map(static fn(Item $item): string => $item->number)->all()),
            Today::day(),
        );
        $proposals = $returned->proposals($form->template->mappings(), $file->withPictures($controls));

        $here = Person::query()
            ->whereIn('login', array_filter(array_map(static fn(Proposal $proposal): ?string => $proposal->question?->to, $proposals)))
            ->where('active', true)
            ->pluck('login')
            ->all();

        return new self(
            $form,
            array_map(
                static fn(Proposal $proposal): Proposal => match ($proposal->use) {
                    TagUse::Attachment => self::looked($proposal, $file->picture($controls[$proposal->tag]), $request),
                    TagUse::Question => self::answerable($proposal, $here),
                    TagUse::Task => self::doable($proposal),
                    default => $proposal,
                },
                $proposals,
            ),
            $file,
            $controls,
        );
    }

    /** @param  array<string>  $here  sign-in names of people who are still here */
    private static function answerable(Proposal $proposal, array $here): Proposal
    {
        $to = $proposal->question->to ?? '';

        return app(Rights::class)->name($to) !== null || in_array($to, $here, true)
            ? $proposal
            : $proposal->withFault("{$to} is not here any more. Set up in the template whom to ask.");
    }

    private static function doable(Proposal $proposal): Proposal
    {
        try {
            Assignee::named($proposal->task->to ?? '');

            return $proposal;
        } catch (Refusal) {
            return $proposal->withFault("{$proposal->task?->to} is not here any more. Set up in the template who does it.");
        }
    }

    /**
     * Gives the picture that a proposal attaches as a file for as long as it is worked on.
     *
     * @template Result
     *
     * @param  \Closure(string): Result  $work
     * @return Result
     */
    public function withPicture(Proposal $proposal, \Closure $work): mixed
    {
        return self::asFile($this->file->picture($this->controls[$proposal->tag]), $work);
    }

    private static function looked(Proposal $proposal, string $picture, ChangeRequest $request): Proposal
    {
        try {
            self::asFile($picture, FileContent::of(...));
            $fault = ChangeFile::query()->where('request_id', $request->id)->where('sha256', $proposal->after)->exists()
                ? 'The same picture is attached already.'
                : null;
        } catch (Refusal $refusal) {
            $fault = $refusal->getMessage();
        }

        return $fault === null ? $proposal : $proposal->withFault($fault);
    }

    /**
     * @template Result
     *
     * @param  \Closure(string): Result  $work
     * @return Result
     */
    private static function asFile(string $content, \Closure $work): mixed
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'orthotaxis-picture-');
        try {
            file_put_contents($path, $content);

            return $work($path);
        } finally {
            @unlink($path);
        }
    }
}
