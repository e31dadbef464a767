<?php

declare(strict_types=1);

namespace App\CutIn;

use App\CutIn\Data\CutInDocument;
use App\Structures\DatedData;
use App\Structures\Models\Item;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\CutIn\Demand;
use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Lot;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** Makes of an item, what planning knows of it at a plant, and what somebody says, a part of a cut-in. */
final readonly class PartReader
{
    /**
     * @param  array<string, string>  $expected  day on which an overdue receipt is expected, by document
     */
    public function __construct(
        private KnownSupply $supply,
        private DatedData $data,
        private Assumed $assumed,
        private Day $today,
        private int $shortagePercent,
        private array $expected,
        private string $currency,
    ) {}

    /**
     * @param  list<int>  $places  the plants of which stock and receipts count here
     * @param  ?Money  $instead  what the new part costs that can be made of one of these; null: none can
     */
    public function part(Item $item, string $plant, array $places, PlantDays $days, Demand $demand, Said $said, ?Money $instead): Part
    {
        $cost = Money::ofTenThousandths((int) $this->data->cost($item->id, $item->standard_cost));
        $stock = 0;
        $receipts = [];
        $isLast = false;
        foreach ($this->rows($item, $places) as $row) {
            $isLast = $isLast || in_array($row->status, (array) config('cut-in.last_time'), true);
            if ($row->kind === SupplyKind::Stock) {
                $stock += KnownSupply::isFree($row) ? $this->supply->quantity($row, $item->unit) : 0;
            } else {
                $receipts[] = $this->receipt($row, $item, $days);
            }
        }
        $number = $item->number;
        $unit = $item->unit->value;
        $this->assumed->add('', 'Stock', (string) Quantity::ofMillionths($stock), $unit, 'planning', $number, $plant);
        $lead = $this->assumed->say(
            'lead_days',
            'Lead time',
            $said->whole('lead_days'),
            [$this->data->leadTime($item->id, $item->lead_time_days), 'item'],
            'working days',
            $number,
        );
        $this->assumed->add('', 'Standard cost', $item->standard_cost === null ? '' : (string) $cost, $this->currency, 'item', $number);
        $figure = fn(string $name, string $what, ItemField $field): int => self::millionths(
            $this->assumed->say($name, $what, $said->text($name), $this->ofPlant($item, $field, $plant), $unit, $number, $plant),
        );
        $yield = $this->assumed->say(
            'yield_percent',
            'Good ones of those ordered',
            $said->whole('yield_percent'),
            [100, 'rule'],
            '%',
            $number,
        );
        $noOrders = $said->yes('no_orders') ?? $isLast;
        if ($noOrders) {
            $from = $said->yes('no_orders') === null ? 'planning' : 'person';
            $this->assumed->add('no_orders', 'Can be ordered', 'not any more', '', $from, $number);
        }
        $penalty = $said->text('penalty');
        $disposal = $this->disposal($cost, $said, $instead);
        $this->assumed->add(
            'disposal',
            'Cost of one left over',
            (string) $disposal,
            $this->currency,
            $said->text('disposal') === null ? 'rule' : 'person',
            $number,
        );
        if ($penalty !== null) {
            $this->assumed->add('penalty', 'Cost of one missing', $penalty, $this->currency, 'person', $number);
        }
        if ($said->text('keep') !== null) {
            $this->assumed->add('keep', 'Kept for service', $said->text('keep'), $unit, 'person', $number);
        }

        return new Part(
            number: $number,
            stock: $stock,
            receipts: $receipts,
            demand: $demand,
            cost: $cost,
            disposal: $disposal,
            penalty: $penalty === null ? self::percent($cost, $this->shortagePercent) : Money::parse($penalty),
            leadDays: $lead,
            safety: $figure('safety', 'Safety stock', ItemField::SafetyStock),
            lot: new Lot(
                $figure('minimum', 'Minimum lot', ItemField::MinimumLot),
                $figure('multiple', 'Lot multiple', ItemField::LotMultiple),
                FixedPoint::scale(Quantity::ONE, (int) $yield, 100),
            ),
            keep: self::millionths($said->text('keep')),
            expediting: $this->expediting($cost, $said),
            isOrdered: !$noOrders,
        );
    }

    /**
     * @param  list<int>  $places
     * @return list<CutInDocument>
     */
    public function documents(Item $item, string $plant, array $places, PlantDays $days, string $role): array
    {
        $documents = [];
        foreach ($this->rows($item, $places) as $row) {
            if (!$row->kind->isReceipt()) {
                continue;
            }
            $receipt = $this->receipt($row, $item, $days);
            $goes = $role === 'goes';
            $documents[] = new CutInDocument(
                plant: $plant,
                document: $row->document,
                kind: $row->kind->value,
                item: $item->number,
                quantity: (string) Quantity::ofMillionths($receipt->quantity),
                unit: $item->unit->value,
                first: null,
                due: $row->due?->__toString(),
                expected: (string) $this->today->plusDays($receipt->day),
                overdue: $receipt->due !== null,
                status: $row->status,
                cancel_fee: $goes && $receipt->canBeCancelled() ? $receipt->cancelFee?->__toString() : null,
                cancel_by: $goes && $receipt->canBeCancelled() ? (string) $this->today->plusDays((int) $receipt->cancelBy) : null,
                role: $role,
            );
        }

        return $documents;
    }

    /**
     * @param  list<int>  $places
     * @return list<Supply> stock and receipts
     */
    private function rows(Item $item, array $places): array
    {
        return array_values(
            array_filter(
                $this->supply->rows($item->number),
                fn(Supply $row): bool => ($row->kind === SupplyKind::Stock || $row->kind->isReceipt()) &&
                    in_array($this->supply->plant($row), $places, true),
            ),
        );
    }

    private function receipt(Supply $row, Item $item, PlantDays $days): Receipt
    {
        $due = $this->supply->day($row);
        $said = $this->expected[$row->document] ?? null;
        $day = match (true) {
            $said !== null => max(0, Day::parse($said)->number() - $this->today->number()),
            $due < 0 => $days->after(0, config()->integer('cut-in.overdue_days')),
            default => $due,
        };

        return new Receipt(
            document: $row->document,
            day: $day,
            quantity: $this->supply->quantity($row, $item->unit),
            cancelFee: self::fee($row),
            cancelBy: $days->before($due, config()->integer('cut-in.notice_days')),
            due: $due < 0 ? $due : null,
        );
    }

    /** What cancelling a receipt costs; null where it cannot be cancelled. */
    private static function fee(Supply $row): ?Money
    {
        /** @var array<string, ?int> $percents */
        $percents = config('cut-in.cancel_percent');
        $known = array_key_exists($row->status, $percents)
            ? $row->status
            : (array_key_exists($row->kind->value, $percents)
                ? $row->kind->value
                : 'other');
        $percent = $percents[$known];

        return $percent === null ? null : self::percent($row->value(), $percent);
    }

    /**
     * What one that is left over costs: its value as far as that is lost; one that is reworked costs the work besides, and saves a new one.
     */
    private function disposal(Money $cost, Said $said, ?Money $instead): Money
    {
        $disposition = Disposition::tryFrom($said->text('disposition') ?? '') ?? Disposition::UseUp;
        $share = $instead === null ? 0 : $said->whole('rework_percent') ?? ($disposition === Disposition::Rework ? 100 : 0);
        $work = $said->text('rework_cost');
        $reworked = $cost
            ->plus($work === null ? self::percent($cost, config()->integer('cut-in.rework_percent')) : Money::parse($work))
            ->minus($instead ?? Money::zero());
        $other = $said->text('disposal');
        $rest =
            $other === null
                ? self::percent(
                    $cost,
                    config()->integer('cut-in.disposal_percent.' . ($disposition === Disposition::Rework ? 'scrap' : $disposition->value)),
                )
                : Money::parse($other);

        return self::percent($rest, 100 - $share)->plus(self::percent($reworked, $share));
    }

    private function expediting(Money $cost, Said $said): ?Expediting
    {
        $days = $said->whole('sooner_days') ?? 0;
        $most = $said->text('sooner_most');

        return $days === 0
            ? null
            : new Expediting(
                $days,
                $said->text('sooner_cost') === null ? Money::zero() : Money::parse((string) $said->text('sooner_cost')),
                self::percent($cost, $said->whole('sooner_percent') ?? 0),
                $most === null ? null : self::millionths($most),
            );
    }

    /** @return array{?string, string} */
    private function ofPlant(Item $item, ItemField $field, string $plant): array
    {
        $value = $this->data->of($item->id)?->value($field, $plant) ?? '';

        return $value === '' ? ['0', 'rule'] : [$value, 'plant'];
    }

    private static function millionths(?string $text): int
    {
        return $text === null || $text === '' ? 0 : Quantity::parse($text)->millionths;
    }

    private static function percent(Money $of, int $percent): Money
    {
        return Money::ofTenThousandths(FixedPoint::scale($of->tenThousandths, $percent, 100));
    }
}
