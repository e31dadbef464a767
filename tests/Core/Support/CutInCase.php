<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\CutIn\Demand;
use Orthotaxis\Core\CutIn\Expediting;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\Lot;
use Orthotaxis\Core\CutIn\OpenOrder;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantPlan;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Random\Randomizer;

/** Cut-in cases in whole pieces and whole units of money, at one plant. */
final class CutInCase
{
    /**
     * @param  list<array{string, int, int, ?int}>  $receipts  document, day, pieces, fee (null: cannot be cancelled)
     * @param  list<int>  $until  pieces a day, and so on
     * @param  list<int>  $from
     * @param  list<int>  $others
     */
    public static function part(
        string $number,
        int $stock,
        array $receipts = [],
        array $until = [],
        array $from = [],
        array $others = [],
        int|float $cost = 10,
        int|float|null $disposal = null,
        int $penalty = 7,
        ?int $lead = 0,
        int $safety = 0,
        Lot $lot = new Lot(),
        int $keep = 0,
        ?Expediting $expediting = null,
    ): Part {
        $days = max(count($until), count($from), count($others));
        $demand = static fn(array $pieces): array => array_map(
            static fn(int $day): int => ($pieces[$day] ?? 0) * Quantity::ONE,
            range(0, $days - 1),
        );

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
            demand: new Demand($demand($until), $demand($from), $demand($others)),
            cost: self::money($cost),
            disposal: self::money($disposal ?? $cost),
            penalty: self::money($penalty),
            leadDays: $lead,
            safety: $safety * Quantity::ONE,
            lot: $lot,
            keep: $keep * Quantity::ONE,
            expediting: $expediting,
        );
    }

    /**
     * @param  non-empty-list<Part>  $parts
     * @param  list<OpenOrder>  $orders
     */
    public static function plan(array $parts, Levers $levers = new Levers(), array $orders = [], ?PlantDays $days = null): PlantPlan
    {
        return PlantPlan::of(new PlantCase('Weir', $days ?? PlantDays::all(), $parts, $orders), $levers);
    }

    /** @param  array<string, mixed>  $other  named as in its constructor */
    public static function altered(Part $part, array $other): Part
    {
        return new Part(...[...get_object_vars($part), ...$other]);
    }

    public static function money(int|float $whole): Money
    {
        return Money::ofTenThousandths((int) round($whole * 10_000));
    }

    /** @return array{list<Part>, list<OpenOrder>, Levers} an old part and a new one, and sometimes one that goes and comes */
    public static function random(Randomizer $random, int $days = 30): array
    {
        $coin = static fn(): bool => $random->getInt(0, 1) === 0;
        $daily = static fn(int $most): array => array_map(static fn(): int => $random->getInt(0, $most), range(1, $days));
        $part = static function (string $number, array $until, array $from) use ($random, $coin, $daily): Part {
            $receipts = array_map(
                static fn(int $i): array => [
                    "{$number}-{$i}",
                    $random->getInt(0, 35),
                    $random->getInt(1, 30),
                    $coin() ? null : $random->getInt(0, 40),
                ],
                range(1, $random->getInt(1, 4)),
            );
            $multiple = $coin() ? 0 : $random->getInt(2, 9) * Quantity::ONE;

            return self::part(
                $number,
                $random->getInt(0, 60),
                $receipts,
                $until,
                $from,
                $coin() ? [] : $daily(2),
                cost: $random->getInt(1, 20),
                disposal: $random->getInt(-5, 20),
                penalty: $random->getInt(0, 30),
                lead: $random->getInt(0, 14),
                safety: $coin() ? 0 : $random->getInt(0, 10),
                lot: new Lot($multiple === 0 ? 0 : $random->getInt(0, 3) * $multiple, $multiple),
                keep: $coin() ? 0 : $random->getInt(0, 15),
                expediting: $coin()
                    ? null
                    : new Expediting(
                        $random->getInt(1, 9),
                        self::money($random->getInt(0, 60)),
                        self::money($random->getInt(0, 9)),
                        $coin() ? null : $random->getInt(0, 30) * Quantity::ONE,
                    ),
            );
        };
        $wanted = $daily(4);
        $parts = [
            $part('OLD', $wanted, []),
            $part('NEW', [], array_map(static fn(int $one): int => 2 * $one, $wanted)),
            ...$coin() ? [] : [$part('BOTH', $daily(3), $daily(3))],
        ];
        $orders = array_map(static function (int $i) use ($random, $coin): OpenOrder {
            $first = $random->getInt(-5, 25);

            return new OpenOrder("W{$i}", $first, $first + $random->getInt(0, 12), $coin());
        }, range(1, 4));

        return [
            $parts,
            $orders,
            new Levers(
                notCancelled: $coin() ? [] : ['OLD-1'],
                approvalDays: $random->getInt(0, 6),
                toolingDay: $random->getInt(0, 9),
                atRisk: $coin(),
                perStraddle: self::money(30),
            ),
        ];
    }
}
