<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Comparison\DifferenceKind;
use Orthotaxis\Core\Quantity\Quantity;

/** What differs between two routings: operations matched by identity, else by number. */
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
                $unmatched[] = $operation;
            }
        }
        $byNumber = [];
        foreach ($left as $operation) {
            $byNumber[$operation->number] = $operation;
        }
        foreach ($unmatched as $operation) {
            $pairs[] = new OperationDifference($byNumber[$operation->number] ?? null, $operation);
            unset($byNumber[$operation->number]);
        }
        foreach ($byNumber as $operation) {
            $pairs[] = new OperationDifference($operation, null);
        }
        usort(
            $pairs,
            static fn(OperationDifference $a, OperationDifference $b): int => (($a->after ?? $a->before)->number ?? 0) <=>
                (($b->after ?? $b->before)->number ?? 0),
        );

        return new self($pairs, [$before->batch, $after->batch]);
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
