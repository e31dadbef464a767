<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Quantity;

/** The work orders at a plant for something that takes a part. */
final readonly class WorkOrders
{
    /** @return list<array{OpenOrder, CutInDocument}> */
    public static function of(KnownSupply $known, PlannedItem $item, int $at, string $plant, PlantDays $days, Day $today): array
    {
        $orders = [];
        foreach ($known->rows($item->number) as $row) {
            if ($row->kind !== SupplyKind::WorkOrder || $known->plant($row) !== $at) {
                continue;
            }
            $first = $known->first($row, $item->leadDays, $days);
            $started = KnownSupply::isStarted($row);
            $orders[] = [
                new OpenOrder($row->document, $first, $known->day($row), $started),
                new CutInDocument(
                    plant: $plant,
                    document: $row->document,
                    kind: $row->kind->value,
                    item: $item->number,
                    quantity: (string) Quantity::ofMillionths($known->quantity($row, $item->unit)),
                    unit: $item->unit->value,
                    first: (string) $today->plusDays($first),
                    due: $row->due?->__toString(),
                    expected: $row->due?->__toString(),
                    overdue: false,
                    status: $row->status,
                    cancel_fee: null,
                    cancel_by: null,
                    role: $started ? 'straddles' : 'waits',
                ),
            ];
        }

        return $orders;
    }
}
