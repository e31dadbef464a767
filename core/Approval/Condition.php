<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Refusal;

use function count;

/**
 * When a step is needed. Of an amount: from so much on, whatever its sign, so that a large saving is looked at like a large cost; one that
 * nobody knows counts as large. Of anything else: when the change has one of some values.
 *
 * Purchasing signs from 5,000.00 once; the safety officer signs where the reason is safety.
 */
final readonly class Condition
{
    /** @param  non-empty-list<string>  $values  one amount, or codes of which one is enough */
    public function __construct(public Fact $fact, public array $values) {}

    /**
     * As it is written down.
     *
     * @param  list<string>  $values
     * @param  string  $place  where a reason is told
     */
    public static function read(Fact $fact, array $values, string $place): self
    {
        if ($values === []) {
            throw Refusal::at($place, 'Say from which amount, or which of them.');
        }
        if ($fact->isAmount()) {
            count($values) === 1 || throw Refusal::at($place, 'Give one amount.');
            Money::parse($values[0], $place);
        }

        return new self($fact, $values);
    }

    /** @param  list<self>  $all */
    public static function allHold(array $all, Facts $facts): bool
    {
        foreach ($all as $one) {
            if (!$one->holds($facts)) {
                return false;
            }
        }

        return true;
    }

    public function holds(Facts $facts): bool
    {
        $is = $facts->of($this->fact);
        if (!$this->fact->isAmount()) {
            return array_intersect($is, $this->values) !== [];
        }

        return $is === [] || abs(Money::parse($is[0])->tenThousandths) >= Money::parse($this->values[0])->tenThousandths;
    }
}
