<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/** Builds the flat list of one item: see Lists. */
final readonly class FlatList
{
    /**
     * @param  list<array{int, int, int}>  $lines  position, quantity in millionths, span
     * @return list<int>
     */
    public static function of(array $lines): array
    {
        $from = 0;
        $to = Span::EVER;
        $flat = [0, 0];
        foreach ($lines as [$position, $quantity, $span]) {
            $from = max($from, $span >> 20); // a phantom's bit puts this beyond any day
            $to = min($to, $span & Span::EVER);
            $flat[] = $position;
            $flat[] = $quantity;
            $flat[] = $span;
        }
        $flat[0] = $from;
        $flat[1] = $to;

        return $flat;
    }
}
