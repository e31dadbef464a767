<?php

declare(strict_types=1);

namespace Orthotaxis\Core\FollowThrough;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;

/**
 * An item of a released order, as far as something of it is replaced: its revision by the coming one, or itself by another number or by
 * nothing.
 *
 * What is old on which day, as a planner reads it. The order takes the pump head from F to G on 8 December:
 *
 * - a lot of F in stock is old, whatever the day: it is what the disposition speaks of;
 * - a purchase order, a work order, a sales order, a forecast that names F for 10 December is old: on that day G holds;
 * - one that names F for 5 December is not: F holds on that day. When it is still open on the 8th, it is;
 * - one without a day is old: nobody knows that it is done in time;
 * - one that names no revision takes the one of the day, and is never old. When the item itself is replaced, every one is.
 */
final readonly class Replaced
{
    /**
     * @param  ?list<string>  $revisions  codes that do not hold any more from the day on; null: of the item itself nothing does
     * @param  Day  $from  the first day on which they do not
     * @param  string  $comes  the coming revision, or the number that takes the place of the item; empty: nothing does
     */
    public function __construct(
        public string $item,
        public ?array $revisions,
        public Day $from,
        public string $comes,
        public ?Disposition $disposition,
    ) {}

    public function isOld(Supply $row, Day $today): bool
    {
        if ($row->item !== $this->item || ($this->revisions !== null && !in_array($row->revision, $this->revisions, true))) {
            return false;
        }

        return $row->kind === SupplyKind::Stock ||
            $row->due === null ||
            !$row->due->isBefore($this->from) ||
            !$today->isBefore($this->from);
    }

    /**
     * What is proposed about one that is old, by its kind and what the order decided about what exists; null: a person has to say. What
     * is begun is not changed over by itself: whoever runs a line decides that.
     */
    public function proposes(Supply $row): ?Way
    {
        $changed = $this->comes === '' ? Way::Cancel : Way::ChangeOver;

        return match ($row->kind) {
            SupplyKind::Stock => match ($this->disposition) {
                Disposition::UseUp => Way::RunOut,
                Disposition::Rework => Way::Rework,
                Disposition::Scrap => Way::Scrap,
                Disposition::Return => Way::Return,
                Disposition::Hold, null => null,
            },
            SupplyKind::WorkOrder => match (true) {
                !self::isBegun($row) => $changed,
                $this->disposition === Disposition::UseUp => Way::RunOut,
                $this->disposition === Disposition::Rework => Way::Rework,
                default => null,
            },
            SupplyKind::PurchaseRequisition, SupplyKind::Quote, SupplyKind::SalesOrder, SupplyKind::Forecast => $changed,
            // The supplier has it already: what they deliver is treated like what is on the shelf, where that is taken as it is.
            SupplyKind::PurchaseOrder, SupplyKind::SubcontractOrder => $this->disposition === Disposition::Return ? Way::Cancel : $changed,
        };
    }

    private static function isBegun(Supply $row): bool
    {
        return $row->issued !== null && $row->issued->millionths > 0;
    }
}
