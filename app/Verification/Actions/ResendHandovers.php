<?php

declare(strict_types=1);

namespace App\Verification\Actions;

use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Releases\Actions\SendHandoverAgain;
use App\Releases\Models\Handover;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;

/** Sends again what planning has not taken, as it was written. What it took of it is not done twice. */
final readonly class ResendHandovers
{
    public function __construct(private SendHandoverAgain $again, private Ledger $ledger) {}

    /**
     * @param  list<string>  $names  of hand-overs; none: of all
     *
     * @throws Refusal when there is nothing to send
     */
    public function __invoke(Person $by, array $names): void
    {
        $this->ledger->together(function () use ($by, $names): void {
            $some = Handover::query()
                ->where('state', '<>', 'taken')
                ->when($names !== [], static fn(Builder $rows): Builder => $rows->whereIn('name', $names))
                // What is on its way gets there.
                ->whereDoesntHave(
                    'latestMessage',
                    static fn(Builder $message): Builder => $message
                        ->whereNull('delivered_at')
                        ->where('tries', '<', config()->integer('orthotaxis.handover.tries')),
                )
                ->orderBy('id')
                ->pluck('name');
            if ($some->isEmpty()) {
                throw Refusal::at('names', 'Nothing has to be resent: planning has accepted them, or they are on their way.');
            }
            foreach ($some as $name) {
                $this->again->send($by, $name);
            }
        });
    }
}
