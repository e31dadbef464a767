<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/**
 * In which order orders can be released that use what others release for the first time, or why in none.
 *
 * The case order uses the bracket that the bracket order releases first: bracket, then case. When the bracket order in turn uses a seal
 * that the case order releases first, each waits for the other, and neither can go.
 */
final readonly class OrderOfRelease
{
    /**
     * @param  list<string>  $before  orders that have to be released before, in an order that works; empty: none, or there is none
     * @param  list<string>  $circle  orders that wait for each other, from one round to the same; empty: none
     */
    private function __construct(public array $before, public array $circle) {}

    /** @param  array<string, list<string>>  $needs  order => orders that it needs to be released before */
    public static function of(string $order, array $needs): self
    {
        $done = $under = $circle = [];
        $visit = static function (string $one) use (&$visit, &$done, &$under, &$circle, $needs): void {
            if ($circle !== [] || isset($done[$one])) {
                return;
            }
            if (isset($under[$one])) {
                $way = array_keys($under);
                $circle = [...array_slice($way, (int) array_search($one, $way, true)), $one];

                return;
            }
            $under[$one] = true;
            foreach ($needs[$one] ?? [] as $needed) {
                $visit($needed);
            }
            unset($under[$one]);
            $done[$one] = true;
        };
        $visit($order);
        $before = array_values(array_filter(array_map(strval(...), array_keys($done)), static fn(string $one): bool => $one !== $order));

        return new self($circle === [] ? $before : [], array_map(strval(...), $circle));
    }
}
