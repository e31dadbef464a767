<?php

declare(strict_types=1);

namespace App\Reach\Actions;

use App\Changes\Models\ChangeRequest;
use App\Ledger\Ledger;
use App\People\Models\Person;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Refusal;

/**
 * Takes things that a change touches in, or leaves them out, on record. An item that is taken in is affected from then on,
 * so the order will have it; taken back, it is not.
 */
final readonly class DecideReach
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param  list<array{subject: string, number: string}>  $rows  as ReachRow tells them
     * @param  ?bool  $taken  null takes a decision back
     */
    public function __invoke(Person $by, string $number, array $rows, ?bool $taken, string $reason): void
    {
        DB::transaction(function () use ($by, $number, $rows, $taken, $reason): void {
            $request = ChangeRequest::hold($number);
            if (! $request->state->isOpen()) {
                throw Refusal::at('request', "{$number} is closed.");
            }
            $before = DB::table('reach_decisions')->where('request_id', $request->id)->pluck('taken', 'subject');
            $items = Item::query()->whereIn('number', array_column($rows, 'number'))->pluck('id', 'number');
            foreach ($rows as ['subject' => $subject, 'number' => $of]) {
                if (str_starts_with($subject, 'affected ')) {
                    throw Refusal::at('rows', "{$of} is named by the request itself.");
                }
                $item = preg_match('/^(document|tool|product|sibling|parent) /', $subject) === 1 ? $items[$of] ?? null : null;
                if ($item !== null && $taken === true) {
                    $request->items()->syncWithoutDetaching([$item]);
                } elseif ($item !== null && ($before[$subject] ?? false) === true) {
                    $request->items()->detach([$item]);
                }
                DB::table('reach_decisions')->where('request_id', $request->id)->where('subject', $subject)->delete();
                if ($taken !== null) {
                    DB::table('reach_decisions')->insert(['request_id' => $request->id, 'subject' => $subject, 'taken' => $taken, 'reason' => $reason, 'person_id' => $by->id, 'decided_at' => CarbonImmutable::now()]);
                }
            }
            $act = match ($taken) {
                true => 'reach.taken_in',
                false => 'reach.left_out',
                null => 'reach.taken_back',
            };
            $this->ledger->record($by->login, $act, $number, ['rows' => array_column($rows, 'subject'), 'reason' => $reason]);
        });
    }
}
