<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** A condition of one order that somebody lets go. */
final readonly class Waiver
{
    /**
     * @param  string  $condition  the class of the condition, which is Readiness\Waivable
     * @param  int  $by  a person's id
     */
    public function __construct(public string $condition, public int $by, public string $reason) {}
}
