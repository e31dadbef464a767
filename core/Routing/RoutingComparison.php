<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * What differs between two routings: operations matched by identity, else by what is done, else by number: two plants say "Flow test" of
 * one operation, which is the 20th at one and the 30th at the other.
 */
final readonly class RoutingComparison
{
    /**
     * @param  list<OperationDifference>  $operations  what is the same as well, by number
     * @param  array{Quantity, Quantity}  $batch  before and after
     */
    private function __construct(public array $operations, public array $batch) {}

    public static function of(Routing $before, Routing $after): self
    {
        $pairs = [];
        $left = $before->operations;
        $unmatched = [];
        foreach ($after as $key => $operation) {
            if (isset($left[$key])) {
                $pairs[] = new OperationDifference($left[$key], $operation);
                unset($left[$key]);
            } else {
                $unmatched[$key] = $operation;
            }
        }
        foreach (
            [
                static fn(Operation $one): string => mb_strtolower(trim($one->title)),
                static fn(Operation $one): string => (string) $one->number,
            ]
            as $name
        ) {
            [$named, $wanted] = [self::once($left, $name), self::once($unmatched, $name)];
            foreach (array_intersect_key($wanted, $named) as $said => $operation) {
                $pairs[] = new OperationDifference($named[$said], $operation);
                unset($left[$named[$said]->key], $unmatched[$operation->key]);
            }
        }
        foreach ($unmatched as $operation) {
            $pairs[] = new OperationDifference(null, $operation);
        }
        foreach ($left as $operation) {
            $pairs[] = new OperationDifference($operation, null);
        }
        usort(
            $pairs,
            static fn(OperationDifference $a, OperationDifference $b): int => (($a->after ?? $a->before)->number ?? 0) <=>
                (($b->after ?? $b->before)->number ?? 0),
        );

        return new self($pairs, [$before->batch, $after->batch]);
    }

    /**
     * What two of them say tells neither from the other.
     *
     * @param  array<Operation>  $operations
     * @param  \Closure(Operation): string  $name
     * @return array<Operation> by what only they say
     */
    private static function once(array $operations, \Closure $name): array
    {
        $said = array_count_values(array_map($name, $operations));
        $once = [];
        foreach ($operations as $operation) {
            if ($said[$name($operation)] === 1) {
                $once[$name($operation)] = $operation;
            }
        }

        return $once;
    }

    public function batchDiffers(): bool
    {
        return !$this->batch[0]->equals($this->batch[1]);
    }

    /** @return list<OperationDifference> without what is the same */
    public function changes(): array
    {
        return array_values(
            array_filter($this->operations, static fn(OperationDifference $one): bool => $one->kind !== DifferenceKind::Unchanged),
        );
    }
}
