<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Refusal;

/** What a plant puts into an item, with the levels that only manufacturing has opened up: a kit of 3 screws, twice, is 6 screws. */
final readonly class Parts
{
    /**
     * @param  array<string, list<BuiltLine>>  $below  by item: what is in it, of items that engineering declares no structure of
     * @param  array<string, mixed>  $whole  by item: those that engineering names as they are, and that are not opened
     */
    private function __construct(private array $below, private array $whole) {}

    /**
     * @param  list<BuiltLine>  $built
     * @param  array<string, list<BuiltLine>>  $below
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
     * @param  list<BuiltLine>  $lines
     * @param  list<string>  $through
     * @param  list<Part>  $parts
     */
    private function open(array $lines, array $through, ?int $operation, Exact $times, bool $scrap, array &$parts): void
    {
        foreach ($lines as $built) {
            $line = $built->line;
            $quantity = $times->times(Exact::of($line->quantity));
            $at = $operation ?? $line->operation;
            $lost = $scrap || $built->scrap > 0;
            $lines = isset($this->whole[$line->component]) ? null : $this->below[$line->component] ?? null;
            if ($lines === null) {
                $parts[] = new Part($built, through: $through, operation: $at, quantity: $quantity, scrap: $lost);

                continue;
            }
            if (in_array($line->component, $through, true)) {
                throw Refusal::at('component', implode(' > ', [...$through, $line->component]) . ': a kit cannot contain itself.');
            }
            $this->open($lines, [...$through, $line->component], $at, $quantity, $lost, $parts);
        }
    }
}
