<?php

declare(strict_types=1);

namespace App\Orders\Belongings;

use App\Orders\Data\BelongingRow;
use App\Orders\JudgedOrders;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\LeftBehindRecord;
use App\Structures\ItemRows;
use Orthotaxis\Core\Belonging\LeftBehind;
use Orthotaxis\Core\Change\Belonging;
use Orthotaxis\Core\Change\BelongingState;

/** What belongs together, as it is shown: of an open order as it is found now; of another what was left behind under it. */
final readonly class BelongingRows
{
    public function __construct(private JudgedOrders $orders) {}

    /** @return list<BelongingRow> */
    public function of(ChangeOrder $order): array
    {
        $decisions = BelongingReader::decisions($order);
        $found = $order->state->isOpen()
            ? $this->orders->of($order)->belongings
            : $decisions->map(static fn(LeftBehindRecord $one): Belonging => self::left($one->toCore()))->values()->all();
        $others = ItemRows::byNumber(array_values(array_unique(array_map(static fn(Belonging $one): string => $one->number, $found))));
        $by = [];
        foreach ($decisions as $one) {
            $by[self::key($one->toCore())] = $one->person->name;
        }

        return array_map(
            static fn(Belonging $one): BelongingRow => new BelongingRow(
                item: $one->item,
                kind: $one->kind->value,
                other: $others[$one->number],
                state: $one->state->value,
                fault: $one->fault,
                reason: $one->reason,
                by: $one->state === BelongingState::Left ? $by[self::key($one)] ?? null : null,
            ),
            $found,
        );
    }

    private static function left(LeftBehind $one): Belonging
    {
        return new Belonging($one->item, $one->kind, $one->number, BelongingState::Left, fault: $one->fault, reason: $one->reason);
    }

    private static function key(Belonging|LeftBehind $one): string
    {
        return "{$one->item} {$one->kind->value} {$one->number} {$one->fault}";
    }
}
