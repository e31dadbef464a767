<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\Money;

/** By how much the best day and its cost move when one assumption is wrong by a tenth. */
final readonly class Hinge
{
    /**
     * @param  string  $part  number; empty for what belongs to all
     * @param  ?int  $dayLess  days by which the best day moves with a tenth less; null: no day is possible any more
     * @param  ?int  $dayMore
     * @param  Money  $costLess  by which its cost moves with a tenth less
     */
    public function __construct(
        public Guess $guess,
        public string $part,
        public ?int $dayLess,
        public ?int $dayMore,
        public Money $costLess,
        public Money $costMore,
    ) {}

    /** @return array{bool, int, int} the worse, the greater */
    public function weight(): array
    {
        return [
            $this->dayLess === null || $this->dayMore === null,
            max(abs($this->costLess->tenThousandths), abs($this->costMore->tenThousandths)),
            max(abs((int) $this->dayLess), abs((int) $this->dayMore)),
        ];
    }

    public function moves(): bool
    {
        return $this->weight() !== [false, 0, 0];
    }
}
