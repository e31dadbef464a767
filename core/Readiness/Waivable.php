<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

/** A condition that somebody may let go, with a reason that is on record: what it guards against is a matter of judgement. */
interface Waivable extends Condition
{
    /** The name under which a waiver of it is kept: components_in_force. */
    public function key(): string;
}
