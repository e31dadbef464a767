<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Refusal;

/**
 * Orders of which a part is judged by another team: a subordinate order goes its own path and is not released before its parent. An order
 * has one parent at most, and chains of them may be of any length; what would make a circle is refused, for none in it could ever be
 * released.
 */
final readonly class Subordination
{
    /**
     * @param  array<string, string>  $parents  parent by number, of all orders that have one
     *
     * @throws Refusal naming the circle
     */
    public static function mustBeTree(string $order, string $parent, array $parents): void
    {
        $chain = [$order];
        for ($at = $parent; $at !== null && !in_array($at, $chain, true); $at = $parents[$at] ?? null) {
            $chain[] = $at;
        }
        if ($at === $order) {
            $circle = implode(', which is subordinate to ', [...array_slice($chain, 1), $order]);
            throw Refusal::at(
                'parent',
                $parent === $order ? "{$order} cannot be subordinate to itself." : "That would be a circle: {$order} to {$circle}.",
            );
        }
    }
}
