<?php

declare(strict_types=1);

namespace App\Requests\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Requests\Events\RequestAssessed;
use App\Requests\Models\ChangeRequest;
use Carbon\CarbonImmutable;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Records what the assessment found. */
final readonly class AssessRequest
{
    public function __construct(private Ledger $ledger) {}

    public function assess(Person $by, string $number, string $finding, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $finding, $version): void {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if ($request->state !== RequestState::Assessing && !$request->state->mayBecome(RequestState::Assessing)) {
                throw Refusal::at('request', 'This request is decided already.');
            }
            $request->update([
                'finding' => $finding,
                'state' => RequestState::Assessing,
                'assessed_at' => $request->state === RequestState::Assessing ? $request->assessed_at : CarbonImmutable::now(),
                'version' => $version + 1,
            ]);
            event(new RequestAssessed($by->login, $number, $finding));
        });
    }
}
