<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** How many are made at once. */
final readonly class SetBatch implements Edit
{
    public const NAME = 'set_batch';

    /** What it is an edit of: each routing has one. */
    public const PART = 'batch';

    public function __construct(private string $batch) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function version(): int
    {
        return 1;
    }

    public function part(): string
    {
        return self::PART;
    }

    public function fields(): array
    {
        return [self::PART => $this->batch];
    }

    public function of(string $part): self
    {
        return $this;
    }

    public function without(array $fields): null
    {
        return null;
    }

    public function touches(): array
    {
        return [self::PART];
    }

    public function conflictsWith(Edit $other): array
    {
        return $other instanceof self ? $this->touches() : [];
    }

    /** @throws Refusal when it is not above zero, or is so already */
    public function apply(Quantity $batch): Quantity
    {
        $after = Quantity::parse($this->batch, self::PART);
        if (!$after->isPositive()) {
            throw Refusal::at(self::PART, 'A batch has more than nothing in it.');
        }

        return $after->equals($batch) ? throw Refusal::at(self::PART, 'This changes nothing: that is the batch already.') : $after;
    }

    public function inWords(): string
    {
        return "Batch of {$this->batch}";
    }
}
