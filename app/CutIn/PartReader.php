<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use App\Structures\Models\Item;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** Makes of an item and what planning knows of it a part of a cut-in, with what is assumed of its costs. */
final readonly class PartReader
{
    public function __construct(private KnownSupply $supply) {}

    /**
     * @param  ?Money  $disposal  said with the question; else it follows from the disposition
     * @param  int  $reworkPercent  of what is left over, that is reworked instead
     * @param  ?Money  $rework  what reworking one costs; else it follows from the rule for rework
     */
    public function part(
        Item $item,
        Disposition $disposition,
        ?Money $disposal,
        int $expeditePercent,
        int $reworkPercent = 0,
        ?Money $rework = null,
    ): Part {
        $cost = Money::ofTenThousandths((int) $item->standard_cost);
        $stock = 0;
        $receipts = [];
        foreach ($this->supply->rows($item->number) as $row) {
            if ($row->kind === SupplyKind::Stock && $this->supply->isFree($row)) {
                $stock += $this->supply->quantity($row, $item->unit);
            } elseif ($row->kind->isReceipt()) {
                $receipts[] = new Receipt(
                    $row->document,
                    $this->supply->day($row),
                    $this->supply->quantity($row, $item->unit),
                    $this->fee($row),
                );
            }
        }

        return new Part(
            number: $item->number,
            stock: $stock,
            receipts: $receipts,
            cost: $cost,
            disposal: self::percent($disposal ?? self::rule($cost, $disposition), 100 - $reworkPercent)->plus(
                self::percent($rework ?? self::rule($cost, Disposition::Rework), $reworkPercent),
            ),
            expedite: self::percent($cost, $expeditePercent),
            leadDays: (int) $item->lead_time_days,
        );
    }

    /** @return list<CutInDocument> */
    public function documents(Item $item, string $role): array
    {
        $documents = [];
        foreach ($this->supply->rows($item->number) as $row) {
            if ($row->kind->isReceipt()) {
                $documents[] = new CutInDocument(
                    document: $row->document,
                    kind: $row->kind->value,
                    item: $item->number,
                    quantity: (string) Quantity::ofMillionths($this->supply->quantity($row, $item->unit)),
                    unit: $item->unit->value,
                    first: null,
                    due: $row->due?->__toString(),
                    status: $row->status,
                    cancel_fee: $role === 'old' ? $this->fee($row)?->__toString() : null,
                    role: $role,
                );
            }
        }

        return $documents;
    }

    /** What cancelling a receipt costs; null where it cannot be cancelled any more. */
    private function fee(Supply $row): ?Money
    {
        /** @var array<string, ?int> $percents */
        $percents = config('cut-in.cancel_percent');
        $known = array_key_exists($row->status, $percents)
            ? $row->status
            : (array_key_exists($row->kind->value, $percents)
                ? $row->kind->value
                : 'other');
        $percent = $percents[$known];

        return $percent === null || $this->supply->day($row) < config()->integer('cut-in.notice_days')
            ? null
            : self::percent($row->value(), $percent);
    }

    private static function rule(Money $cost, Disposition $disposition): Money
    {
        return self::percent($cost, config()->integer("cut-in.disposal_percent.{$disposition->value}"));
    }

    private static function percent(Money $of, int $percent): Money
    {
        return Money::ofTenThousandths(FixedPoint::scale($of->tenThousandths, $percent, 100));
    }
}
