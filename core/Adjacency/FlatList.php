<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Adjacency;

/** Builds the flat list of one item, and takes it apart: see Lists. */
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

    /**
     * What it was built of.
     *
     * @param  list<int>  $flat
     * @return list<array{int, int, int}>
     */
    public static function lines(array $flat): array
    {
        $lines = [];
        for ($i = 2, $n = count($flat); $i < $n; $i += 3) {
            $lines[] = [$flat[$i], $flat[$i + 1], $flat[$i + 2]];
        }

        return $lines;
    }
}
