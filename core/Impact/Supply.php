<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Impact;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/** One stock position or one line of an open document, as planning tells it. */
final readonly class Supply
{
    public function __construct(
        public SupplyKind $kind,
        public string $document,
        public string $item,
        public string $revision,
        public Quantity $quantity,
        public Unit $unit,
        public Money $unitValue,
        public ?Day $due,
        public string $place,
        public string $status,
        /** Serial numbers, where planning keeps them; else empty. */
        public string $serial = '',
        /** The first day of a work order, where planning tells it. */
        public ?Day $start = null,
        /** How much of a work order has its parts already, in the unit of the row, where planning tells it. */
        public ?Quantity $issued = null,
    ) {}

    public function value(): Money
    {
        return $this->unitValue->times($this->quantity);
    }

    /**
     * Reads one row of planning's answer. What another system says is checked like what a person types.
     *
     * @param  array<array-key, mixed>  $row
     *
     * @throws Refusal when the row makes no sense
     */
    public static function read(array $row, int $number): self
    {
        $place = "row {$number}";
        $text = static fn(string $name): string => is_string($row[$name] ?? null)
            ? $row[$name]
            : throw Refusal::at($place, "Planning gave no {$name} in row {$number}.");
        $due = $row['due'] ?? null;
        $start = $row['start'] ?? null;
        $issued = $row['issued'] ?? null;

        return new self(
            kind: SupplyKind::tryFrom($text('kind')) ??
                throw Refusal::at($place, "Planning named an unknown kind of supply in row {$number}."),
            document: $text('document'),
            item: $text('item'),
            revision: $text('revision'),
            quantity: Quantity::parse($text('quantity'), $place),
            unit: Unit::parse($text('unit'), $place),
            unitValue: Money::parse($text('unit_value'), $place),
            due: is_string($due) ? Day::parse($due, $place) : null,
            place: $text('place'),
            status: $text('status'),
            serial: is_string($row['serial'] ?? null) ? $row['serial'] : '',
            start: is_string($start) ? Day::parse($start, $place) : null,
            issued: is_string($issued) ? Quantity::parse($issued, $place) : null,
        );
    }
}
