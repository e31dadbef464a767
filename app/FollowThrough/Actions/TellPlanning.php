<?php

declare(strict_types=1);

namespace App\FollowThrough\Actions;

use App\FollowThrough\Events\DocumentsTold;
use App\FollowThrough\Models\OldDocument;
use App\FollowThrough\ReplacedItems;
use App\Ledger\Ledger;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Releases\Actions\WriteHandover;
use Orthotaxis\Core\FollowThrough\Settlement;
use Orthotaxis\Core\FollowThrough\Way;
use Orthotaxis\Core\Refusal;

/** Hands over to planning what it has to do about documents that are decided; it answers each by itself. */
final readonly class TellPlanning
{
    public function __construct(private WriteHandover $handovers, private Ledger $ledger) {}

    /**
     * @param  list<int>  $ids
     *
     * @throws Refusal at the documents, when one is not decided, was told already, or leaves planning nothing to do
     */
    public function __invoke(Person $by, string $number, array $ids): void
    {
        $this->ledger->together(function () use ($by, $number, $ids): void {
            $rows = SeeToDocuments::held($number, $ids);
            $rows->load(['item', 'entry']);
            $refused = array_values(array_filter($rows->map(self::fault(...))->all(), static fn(string $one): bool => $one !== ''));
            if ($refused !== []) {
                throw Refusal::at('ids', implode(' ', array_slice($refused, 0, 5)));
            }
            $order = ChangeOrder::query()->where('number', $number)->firstOrFail();
            $replaced = ReplacedItems::of($order);
            $entries = [];
            foreach ($rows as $row) {
                $entries[] = Settlement::entry(
                    number: count($entries) + 1,
                    row: $row->supply(),
                    way: $row->way ?? Way::Accept,
                    comes: $row->comes,
                    item: ($replaced[$row->item_id] ?? null)?->revisions === null,
                    due: $row->due_on,
                    note: $row->note,
                );
            }
            if ($entries === []) {
                throw Refusal::at('ids', 'Choose documents.');
            }
            $handover = $this->handovers->settle($order, $entries);
            $told = $handover->entries()->orderBy('number')->pluck('id')->all();
            foreach ($rows->values() as $at => $row) {
                $row->update(['handover_entry_id' => $told[$at]]);
            }
            event(new DocumentsTold($by->login, $number, SeeToDocuments::names($rows), $handover->name));
        });
    }

    private static function fault(OldDocument $row): string
    {
        return match (true) {
            !$row->state()->holdsOrder() => "{$row->document} is seen to already.",
            $row->way === null => "Nobody has decided on {$row->document}.",
            !Settlement::isTold($row->way) => "About {$row->document} planning has nothing to do.",
            $row->entry !== null && $row->entry->answer !== 'refused' => "Planning was told of {$row->document} already.",
            default => '',
        };
    }
}
