<?php

declare(strict_types=1);

namespace App\Meetings\Actions;

use App\Ledger\Ledger;
use App\Meetings\Events\MeetingArranged;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Refusal;

/** Sets the order in which the board takes the requests. What came meanwhile stays behind those that are named. */
final readonly class ArrangeMeeting
{
    public function __construct(private Ledger $ledger) {}

    /** @param  list<string>  $numbers  in their order */
    public function __invoke(Person $by, array $numbers): void
    {
        $this->ledger->together(function () use ($by, $numbers): void {
            $awaiting = ChangeRequest::query()
                ->where('state', RequestState::Assessing->value)
                ->orderBy('id')
                ->lockForUpdate()
                ->get()
                ->keyBy('number');
            foreach ($numbers as $i => $number) {
                $request = $awaiting->get($number) ?? throw Refusal::at('requests', "{$number} does not await a decision any more.");
                $request->update(['meeting_place' => $i + 1]);
            }
            event(new MeetingArranged($by->login, 'meeting', $numbers));
        });
    }
}
