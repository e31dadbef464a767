<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;

/** What planning has to know of an item that it has never heard of. */
final readonly class IntroducedItem
{
    /**
     * @param  string  $supply  make, buy or subcontract; empty: nobody has said
     * @param  ?int  $leadTime  days; null: not known
     * @param  ?Money  $cost  standard cost of one; null: not known
     */
    public function __construct(
        public string $title,
        public Unit $unit,
        public string $supply = '',
        public ?int $leadTime = null,
        public ?Money $cost = null,
    ) {}

    /** @return array<string, string|int|null> by the names that hand-overs have for them */
    public function fields(): array
    {
        return [
            'title' => $this->title,
            'itemUnit' => $this->unit->value,
            'supply' => $this->supply,
            'itemLeadTime' => $this->leadTime,
            'standardCost' => $this->cost === null ? null : (string) $this->cost,
        ];
    }
}
