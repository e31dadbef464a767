<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use App\CutIn\Models\CutIn;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** What the plan of a chosen day said of a part at a plant, and what became of it; both at the prices of the plan. */
#[OA\Schema]
final readonly class CutInOutcomeRow
{
    private function __construct(
        #[OA\Property] public string $plant,
        #[OA\Property(description: 'number of the part')] public string $item,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'the day on which the plant cuts in')] public string $cut_in_on,
        #[OA\Property(description: 'the day on which planning told what became of it; null: not yet')] public ?string $seen_on,
        #[OA\Property] public string $left_planned,
        #[OA\Property(description: 'null: not known yet')] public ?string $left,
        #[OA\Property] public string $short_planned,
        #[OA\Property(description: 'what cannot be had in time from the cut-in on; null: not known yet')] public ?string $short,
        #[OA\Property(description: 'of what is left over and short')] public string $cost_planned,
        #[OA\Property(description: 'null: not known yet')] public ?string $cost,
        #[OA\Property(description: 'more than planned; less than nothing: less')] public ?string $difference,
    ) {}

    /** @return list<self> of every part at every plant */
    public static function all(CutIn $chosen): array
    {
        $outcomes = $chosen->outcomes->keyBy('plant');
        $rows = [];
        foreach ($chosen->planned as $row) {
            $outcome = $outcomes[$row['plant']] ?? null;
            $part = $outcome === null ? null : array_column($outcome->parts, null, 'item')[$row['item']] ?? null;
            $price = static fn(string $left, string $short): Money => self::price($row['disposal'], $left)->plus(
                self::price($row['penalty'], $short),
            );
            $planned = $price($row['left'], $row['short']);
            $became = $part === null ? null : $price($part['left'], $part['short']);
            $rows[] = new self(
                plant: $row['plant'],
                item: $row['item'],
                unit: $row['unit'],
                cut_in_on: $chosen->day($row['plant']),
                seen_on: $outcome?->seen_on,
                left_planned: $row['left'],
                left: $part['left'] ?? null,
                short_planned: $row['short'],
                short: $part['short'] ?? null,
                cost_planned: (string) $planned,
                cost: $became === null ? null : (string) $became,
                difference: $became === null ? null : (string) $became->minus($planned),
            );
        }

        return $rows;
    }

    private static function price(string $each, string $quantity): Money
    {
        return Money::ofTenThousandths(
            FixedPoint::scale(Money::parse($each)->tenThousandths, Quantity::parse($quantity)->millionths, Quantity::ONE),
        );
    }
}
