<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/**
 * A condition of one order that somebody lets go, as it was found then. What is found another time is not what was let go: where a second
 * component is not in force either, the waiver of the first covers neither.
 */
final readonly class Waiver
{
    /**
     * @param  string  $condition  the key of the condition, which is Readiness\Waivable
     * @param  string  $fault  why it did not hold
     * @param  int  $by  a person's id
     */
    public function __construct(public string $condition, public string $fault, public int $by, public string $reason) {}
}
