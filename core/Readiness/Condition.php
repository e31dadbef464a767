<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Order;

/** Something that must hold before an order may take its next step. One class each; Readiness says at which step it is asked. */
interface Condition
{
    /** What it asks for, as it reads in the list of what is missing. */
    public function name(): string;

    /** Where it is put right: items, edits, plants, editor, signer, effective_on or signature. */
    public function place(): string;

    /** @return string why it does not hold, and what to do; empty when it does */
    public function fault(Order $order, Day $today): string;
}
