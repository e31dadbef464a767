<?php

declare(strict_types=1);

namespace Orthotaxis\Core\CutIn;

use Orthotaxis\Core\Quantity\FixedPoint;

use function is_int;

/**
 * What is wanted of a part at a plant by day, in millionths: until the cut-in, from it on, and by others anyway. What follows from that
 * alone is summed once, not with each lever.
 */
final readonly class Demand
{
    /** @var list<int> until the cut-in, by others included */
    public array $before;

    /** @var list<int> from it on, by others included */
    public array $after;

    /** @var list<int> what is wanted more from it on than until it; nothing where it is less */
    public array $extra;

    /** @var list<int> wanted from the day on if the change is in; one more than there are days */
    public array $stillWanted;

    /** @var list<int> the same less what is wanted if it is not */
    public array $stillMore;

    /** Whether the change takes the part from anybody. */
    public bool $goes;

    /** Whether anybody wants the part after the cut-in. */
    public bool $goesOn;

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
        $before = $after = $extra = $more = [];
        foreach ($others as $day => $anyway) {
            $before[] = $anyway + $until[$day];
            $after[] = $anyway + $from[$day];
            $more[] = $from[$day] - $until[$day];
            $extra[] = $from[$day] > $until[$day] ? $from[$day] - $until[$day] : 0;
        }
        FixedPoint::check($before);
        FixedPoint::check($after);
        $this->before = $before;
        $this->after = $after;
        $this->extra = $extra;
        $this->stillWanted = FromTheEnd::sums($after, count($after));
        $this->stillMore = FromTheEnd::sums($more, count($more));
        $this->goes = array_filter($until) !== [];
        $this->goesOn = array_filter($after) !== [];
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
