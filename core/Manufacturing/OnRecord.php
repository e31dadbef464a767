<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/**
 * What manufacturing has put on record about an engineering line that it does not take over as it stands: another component in its
 * place, so many for so many, or nothing at all; each with a reason.
 */
final readonly class OnRecord
{
    /**
     * @param  string  $line  the key of the engineering line
     * @param  ?string  $by  the item in its place; null: it is left out
     * @param  Quantity  $new  so much of that, in its own unit
     * @param  ?Unit  $unit  of $new; null where nothing comes in its place
     * @param  Quantity  $old  for so much of the engineering line, in the unit of that
     */
    private function __construct(
        public string $line,
        public string $reason,
        public ?string $by,
        public Quantity $new,
        public ?Unit $unit,
        public Quantity $old,
    ) {}

    /** @throws Refusal when nothing would come for something, or something for nothing */
    public static function replaced(string $line, string $by, string $reason, Quantity $new, Unit $unit, Quantity $old): self
    {
        if (!$new->isPositive() || !$old->isPositive()) {
            throw Refusal::at('ratio', 'So many for so many: both are above zero.');
        }

        return new self(line: $line, reason: $reason, by: $by, new: $new, unit: $unit, old: $old);
    }

    public static function leftOut(string $line, string $reason): self
    {
        return new self(line: $line, reason: $reason, by: null, new: Quantity::one(), unit: null, old: Quantity::one());
    }
}
