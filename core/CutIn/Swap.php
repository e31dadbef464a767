<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Comparison\Difference;
use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/**
 * What an order's own edits say of a cut-in: an old part, and the new one in its place.
 *
 * Rule: every line that is replaced is a swap of its old component for its new one, told once however many lines say it. The
 * new parts for one of the old are what all these lines take after, divided by what they took before: 0.5 m and 0.5 m of one
 * tube become 0.6 m and 0.6 m of another, so 1.2; a plant may say it in millimetres. Where the two are not measured alike nobody but a
 * person can say it.
 */
final readonly class Swap
{
    /** @param  ?Quantity  $ratio  of the new part for one of the old; null where they are not measured alike */
    private function __construct(public string $old, public string $new, public ?Quantity $ratio) {}

    /**
     * @param  iterable<Comparison>  $comparisons  of each item of the order, before and after
     * @return list<self> in the order of the lines
     */
    public static function all(iterable $comparisons): array
    {
        $found = [];
        foreach ($comparisons as $comparison) {
            foreach ($comparison->differences as $difference) {
                if ($difference->kind === DifferenceKind::Replaced) {
                    $found["{$difference->before?->component} {$difference->after?->component}"][] = $difference;
                }
            }
        }

        return array_map(self::of(...), array_values($found));
    }

    /** @param  non-empty-list<Difference>  $lines that swap the same two */
    private static function of(array $lines): self
    {
        $before = $after = 0;
        $alike = true;
        $unit = $lines[0]->before->unit ?? Unit::Piece;
        $in = static fn(?Line $line): int => $line === null || !$line->unit->measuresLike($unit)
            ? 0
            : $line->unit->convert($line->quantity, $unit)->millionths;
        foreach ($lines as $line) {
            $alike = $alike && $line->before?->unit->measuresLike($unit) === true && $line->after?->unit->measuresLike($unit) === true;
            $before += $in($line->before);
            $after += $in($line->after);
        }

        return new self(
            $lines[0]->before->component ?? '',
            $lines[0]->after->component ?? '',
            $alike && $before > 0 ? Quantity::ofMillionths((int) round(($after / $before) * Quantity::ONE)) : null,
        );
    }
}
