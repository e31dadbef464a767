<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;

/** What exists and what is coming of one item, summed by kind of supply. */
final readonly class Exposure
{
    /**
     * @param  list<Supply>  $rows
     * @param  array<value-of<SupplyKind>, ExposureTotal>  $totals  only the kinds there are rows of
     */
    private function __construct(public string $item, public array $rows, public array $totals, public Money $value) {}

    /**
     * @param  iterable<Supply>  $rows  of any items
     * @param  Unit  $unit  the item's own unit, in which quantities are summed
     */
    public static function of(string $item, Unit $unit, iterable $rows): self
    {
        $own = [];
        $totals = [];
        $value = Money::zero();
        foreach ($rows as $row) {
            if ($row->item !== $item) {
                continue;
            }
            $own[] = $row;
            $was = $totals[$row->kind->value] ?? new ExposureTotal(0, Quantity::ofMillionths(0), $unit, Money::zero());
            $totals[$row->kind->value] = new ExposureTotal(
                $was->rows + 1,
                $was->quantity->plus($row->unit->convert($row->quantity, $unit)),
                $unit,
                $was->value->plus($row->value()),
            );
            $value = $value->plus($row->value());
        }

        return new self($item, $own, $totals, $value);
    }
}
