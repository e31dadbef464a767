<?php

declare(strict_types=1);

namespace App\Assessment\Actions;

use App\Assessment\Events\QuestionAnswered;
use App\Assessment\Models\Question;
use App\Attachments\Actions\BringFile;
use App\Attachments\AttachmentRole;
use App\Http\Stale;
use App\Ledger\Ledger;
use App\People\Ability;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Assessment\QuestionState;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

/** Whoever is asked answers: what is so, what it costs, with a file where that helps. Until the request is closed it may be corrected. */
final readonly class AnswerQuestion
{
    public function __construct(private Ledger $ledger, private BringFile $files) {}

    /** @param  int  $seen  version of the answer that was on screen; 0 when there was none */
    public function __invoke(
        Person $by,
        int $id,
        bool $noEffect,
        string $answer,
        ?Money $oneTime,
        ?Money $recurring,
        ?UploadedFile $file,
        int $seen = 0,
    ): string {
        return $this->ledger->together(function () use ($by, $id, $noEffect, $answer, $oneTime, $recurring, $file, $seen): string {
            $question = Question::query()
                ->with(['request', 'item', 'answeredBy'])
                ->lockForUpdate()
                ->findOrFail($id);
            $number = $question->request->number;
            if (!$question->asks($by) || !$by->mayDo(Ability::AnswerQuestion, $number)) {
                throw Refusal::at('question', 'Somebody else is asked.');
            }
            if ($question->state === QuestionState::Withdrawn || !$question->request->state->isOpen()) {
                throw Refusal::at('question', 'The question was withdrawn.');
            }
            // Of a group several may answer at once: nobody writes over what they have not seen.
            if ($question->answeredBy !== null && $question->answeredBy->isNot($by) && $question->version !== $seen) {
                throw new Stale("{$question->answeredBy->name} answered meanwhile. Yours was not saved; look at both.", [
                    'answer' => $question->answer,
                ]);
            }
            $values = [
                'state' => $noEffect ? QuestionState::NoEffect : QuestionState::Answered,
                'answer' => $answer,
                'one_time' => $oneTime?->tenThousandths,
                'recurring' => $recurring?->tenThousandths,
                'version' => $question->version + 1,
                'answered_by' => $by->id,
                'answered_at' => CarbonImmutable::now(),
            ];
            if ($file !== null) {
                $values['file_id'] = $this->files->bring(
                    $by,
                    $question->request,
                    AttachmentRole::Answer,
                    $file->getRealPath(),
                    $file->getClientOriginalName(),
                )->id;
            }
            $question->update($values);
            event(
                new QuestionAnswered(
                    $by->login,
                    $number,
                    item: $question->item->number,
                    question: $question->text,
                    answer: $answer,
                    noEffect: $noEffect,
                    oneTime: $oneTime === null ? '' : (string) $oneTime,
                    recurring: $recurring === null ? '' : (string) $recurring,
                ),
            );

            return $number;
        });
    }
}
