<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Random\Randomizer;

/** Cut-in cases in whole pieces and whole units of money. */
final class CutInCase
{
    /** @param  list<array{string, int, int, ?int}>  $receipts  document, day, pieces, fee (null: cannot be cancelled) */
    public static function part(
        string $number,
        int $stock,
        array $receipts = [],
        int $cost = 10,
        int $disposal = 4,
        int $expedite = 7,
        int $lead = 0,
    ): Part {
        return new Part(
            number: $number,
            stock: $stock * Quantity::ONE,
            receipts: array_map(
                static fn(array $r): Receipt => new Receipt(
                    $r[0],
                    $r[1],
                    $r[2] * Quantity::ONE,
                    $r[3] === null ? null : self::money($r[3]),
                ),
                $receipts,
            ),
            cost: self::money($cost),
            disposal: self::money($disposal),
            expedite: self::money($expedite),
            leadDays: $lead,
        );
    }

    /** @param  list<int>  $demand  pieces a day */
    public static function pair(Part $old, Part $new, array $demand, int $ratio = Quantity::ONE, ?Expediting $expediting = null): Pair
    {
        return new Pair($old, $new, array_map(static fn(int $pieces): int => $pieces * Quantity::ONE, $demand), $ratio, $expediting);
    }

    public static function money(int $whole): Money
    {
        return Money::ofTenThousandths($whole * 10_000);
    }

    /** @return array{Pair, list<OpenOrder>} */
    public static function random(Randomizer $random, int $days = 30): array
    {
        $receipts = static fn(): array => array_map(
            static fn(int $i): array => [
                "D{$i}",
                $random->getInt(0, 35),
                $random->getInt(1, 30),
                $random->getInt(0, 1) === 0 ? null : $random->getInt(0, 20),
            ],
            range(1, $random->getInt(1, 4)),
        );
        $old = self::part(
            'OLD',
            $random->getInt(0, 80),
            $receipts(),
            $random->getInt(1, 20),
            $random->getInt(-5, 10),
            $random->getInt(0, 15),
        );
        $new = self::part(
            'NEW',
            $random->getInt(0, 1) * $random->getInt(0, 40),
            $receipts(),
            $random->getInt(1, 20),
            0,
            $random->getInt(0, 15),
            $random->getInt(0, 12),
        );
        $demand = array_map(static fn(): int => $random->getInt(0, 5), range(1, $days));

        $expediting = $random->getInt(0, 1) === 0 ? null : new Expediting($random->getInt(1, 15), self::money($random->getInt(0, 60)));

        return [
            self::pair($old, $new, $demand, $random->getInt(1, 3) * 500_000, $expediting),
            array_map(static function (int $i) use ($random): OpenOrder {
                $first = $random->getInt(-5, 25);

                return new OpenOrder("W{$i}", $first, $first + $random->getInt(0, 12));
            }, range(1, 4)),
        ];
    }
}
