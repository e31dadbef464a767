<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

use function is_int;

/** Sums from each day to the end, and the least of what is to come. */
final readonly class FromTheEnd
{
    /**
     * @param  array<int, int>  $byDay  a day that is left out has nothing
     * @return list<int> one more than there are days: the last is what lies behind them
     */
    public static function sums(array $byDay, int $days): array
    {
        $sums = array_fill(0, $days + 1, 0);
        for ($sum = 0, $day = $days; $day >= 0; $day--) {
            $sum += $byDay[$day] ?? 0;
            // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
            $sums[$day] = is_int($sum) ? $sum : throw new \OverflowException('A number becomes too large here to be kept exactly.');
        }

        return array_values($sums);
    }

    /**
     * @param  list<int>  $plus  one more than there are days
     * @param  list<int>  $minus  as many
     * @return list<int> of each day: the least difference of the days behind it and of all later ones
     */
    public static function least(array $plus, array $minus): array
    {
        $days = count($plus) - 1;
        $least = array_fill(0, $days, 0);
        for ($lowest = PHP_INT_MAX, $day = $days - 1; $day >= 0; $day--) {
            $least[$day] = $lowest = min($lowest, FixedPoint::subtract($plus[$day + 1], $minus[$day + 1]));
        }

        return array_values($least);
    }
}
