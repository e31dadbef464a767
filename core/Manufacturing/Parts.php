<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;

/**
 * What a plant puts into an item, with the levels that only manufacturing has opened up: a kit of 3 screws, twice, is 6 screws. What comes
 * out is no part.
 */
final readonly class Parts
{
    /**
     * @param  array<string, list<Line>>  $below  by item: what is in it, of items that engineering declares no structure of
     * @param  array<string, mixed>  $whole  by item: those that engineering names as they are, and that are not opened
     */
    private function __construct(private array $below, private array $whole) {}

    /**
     * @param  list<Line>  $built
     * @param  array<string, list<Line>>  $below
     * @param  array<string, mixed>  $whole
     * @return list<Part> in the order of the lines
     *
     * @throws Refusal when a kit contains itself
     */
    public static function of(array $built, array $below, array $whole): array
    {
        $parts = [];
        (new self($below, $whole))->open($built, [], null, Exact::whole(1), false, $parts);

        return $parts;
    }

    /**
     * @param  list<Line>  $lines
     * @param  list<string>  $through
     * @param  list<Part>  $parts
     */
    private function open(array $lines, array $through, ?int $operation, Exact $times, bool $scrap, array &$parts): void
    {
        foreach ($lines as $line) {
            if ($line->byProduct) {
                continue;
            }
            $quantity = $times->times(Exact::of($line->quantity));
            $at = $operation ?? $line->operation;
            $lost = $scrap || $line->scrap > 0;
            $opened = isset($this->whole[$line->component]) ? null : $this->below[$line->component] ?? null;
            if ($opened === null) {
                $parts[] = new Part($line, through: $through, operation: $at, quantity: $quantity, scrap: $lost);

                continue;
            }
            if (in_array($line->component, $through, true)) {
                throw Refusal::at('component', implode(' > ', [...$through, $line->component]) . ': a kit cannot contain itself.');
            }
            $this->open($opened, [...$through, $line->component], $at, $quantity, $lost, $parts);
        }
    }
}
