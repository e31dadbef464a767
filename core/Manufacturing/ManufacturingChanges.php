<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Changes;
use Orthotaxis\Core\Routing\OperationDifference;
use Orthotaxis\Core\Routing\RoutingComparison;
use Orthotaxis\Core\Routing\SetBatch;

/** What differs between two revisions of what a plant builds. */
final readonly class ManufacturingChanges implements Changes
{
    /** @param  array<string, array{?OnRecord, ?OnRecord}>  $records  by engineering line: what was on record, and what is */
    public function __construct(public Comparison $lines, public array $records, public RoutingComparison $routing) {}

    /** What is on record about engineering is the plant's own account, and no part of what it builds. */
    public function parts(): array
    {
        return [
            ...$this->routing->batchDiffers() ? [[SetBatch::PART, SetBatch::PART]] : [],
            ...array_map(static fn(OperationDifference $one): array => [$one->before?->key, $one->after?->key], $this->routing->changes()),
            ...$this->lines->parts(),
        ];
    }

    public function count(): int
    {
        return count($this->lines->changes()) +
            count($this->records) +
            count($this->routing->changes()) +
            ($this->routing->batchDiffers() ? 1 : 0);
    }
}
