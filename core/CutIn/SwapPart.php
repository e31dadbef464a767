<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/** A part that comes, and how much of it. */
final readonly class SwapPart
{
    /**
     * @param  ?Quantity  $ratio  for one of what goes, or in one parent where nothing goes; null where the two are not measured alike, and
     *     only a person can say it
     * @param  ?Unit  $unit  of the ratio where nothing goes
     */
    public function __construct(public string $item, public ?Quantity $ratio, public ?Unit $unit = null) {}

    /**
     * @param  list<Line>  $before  of what goes; none where nothing does
     * @param  non-empty-list<Line>  $after
     */
    public static function of(string $item, array $before, array $after): self
    {
        $unit = ($before[0] ?? $after[0])->unit;
        [$was, $will] = [self::sum($before, $unit), self::sum($after, $unit)];
        if ($before === []) {
            return new self($item, Quantity::ofMillionths((int) $will), $unit);
        }

        return new self(
            $item,
            $was === null || $will === null || $was <= 0 ? null : Quantity::ofMillionths((int) round(($will / $was) * Quantity::ONE)),
        );
    }

    /** What two parts have in common that come in the same share. */
    public function key(): string
    {
        return "{$this->item} {$this->ratio} {$this->unit?->value}";
    }

    /**
     * @param  list<Line>  $lines
     * @return ?int millionths of the unit; null where they are not measured alike
     */
    private static function sum(array $lines, Unit $unit): ?int
    {
        $sum = 0;
        foreach ($lines as $line) {
            if (!$line->unit->measuresLike($unit)) {
                return null;
            }
            $sum = FixedPoint::add($sum, $line->unit->convert($line->quantity, $unit)->millionths);
        }

        return $sum;
    }
}
