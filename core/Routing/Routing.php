<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Quantity\Quantity;

/**
 * How a plant makes an item: its operations in the order of their numbers, and how many are made at once.
 *
 * @implements \IteratorAggregate<string, Operation>
 */
final readonly class Routing implements \Countable, \IteratorAggregate
{
    /** @var array<string, Operation> by key */
    public array $operations;

    /** How many are made at once, at which the set-up is shared. */
    public Quantity $batch;

    /**
     * @param  iterable<Operation>  $operations
     * @param  ?Quantity  $batch  null: each alone
     */
    public function __construct(iterable $operations = [], ?Quantity $batch = null)
    {
        $byKey = [];
        foreach ($operations as $operation) {
            $byKey[$operation->key] = $operation;
        }
        uasort($byKey, static fn(Operation $a, Operation $b): int => $a->number <=> $b->number ?: strcmp($a->key, $b->key));
        $this->operations = $byKey;
        $this->batch = $batch ?? Quantity::one();
    }

    public function numbered(int $number): ?Operation
    {
        foreach ($this->operations as $operation) {
            if ($operation->number === $number) {
                return $operation;
            }
        }

        return null;
    }

    public function count(): int
    {
        return count($this->operations);
    }

    /** @return \ArrayIterator<string, Operation> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->operations);
    }
}
