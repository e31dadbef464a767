<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Requests\Events\RequestAnswered;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Whoever raised a request answers what it was sent back for; then it is assessed anew. */
final readonly class AnswerRequest
{
    public function __construct(private Ledger $ledger) {}

    public function answer(Person $by, string $number, string $answer, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $answer, $version): void {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if (!$request->state->mayBecome(RequestState::Raised)) {
                throw Refusal::at('request', 'This request was not sent back.');
            }
            if ($request->raised_by !== $by->id) {
                throw Refusal::at('request', 'Only the originator of the request answers it.');
            }
            $request->update([
                'description' => "{$request->description}\n\n{$by->name} answers: {$answer}",
                'state' => RequestState::Raised,
                'version' => $version + 1,
            ]);
            event(new RequestAnswered($by->login, $number, $answer));
        });
    }
}
