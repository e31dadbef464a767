<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

use function is_int;

/** What is wanted of a part at a plant by day, in millionths: until the cut-in, from it on, and by others anyway. */
final readonly class Demand
{
    /**
     * @param  list<int>  $until  by day from today
     * @param  list<int>  $from
     * @param  list<int>  $others
     * @param  array{until: int, from: int, others: int}  $late  what would have had to be there before today, by orders that are not placed
     */
    public function __construct(
        public array $until,
        public array $from,
        public array $others,
        public array $late = ['until' => 0, 'from' => 0, 'others' => 0],
    ) {
        foreach ([$until, $from, $others, array_values($late)] as $all) {
            foreach ($all as $one) {
                // @phpstan-ignore function.alreadyNarrowedType (an int that overflows becomes a float)
                is_int($one) || throw new \OverflowException('The demand of a day becomes too large here to be kept exactly.');
            }
        }
    }

    /** So many thousandths of it, rounded. */
    public function thousandths(int $thousandths): self
    {
        $scale = static fn(int $one): int => $one === 0 ? 0 : FixedPoint::scale($one, $thousandths, 1000);

        return new self(
            array_map($scale, $this->until),
            array_map($scale, $this->from),
            array_map($scale, $this->others),
            array_map($scale, $this->late),
        );
    }

    public function isNone(): bool
    {
        return array_filter([...$this->until, ...$this->from, ...$this->others]) === [];
    }
}
