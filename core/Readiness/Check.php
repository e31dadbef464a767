<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Readiness;

use Orthotaxis\Core\Change\Waiver;

/** A condition as it was found: met, or not and why, with the place where it can be put right, and the waiver that lets it go. */
final readonly class Check
{
    /** @param  string  $waivable  the key under which it can be let go; empty: it cannot, or it holds */
    public function __construct(
        public string $name,
        public bool $met,
        public string $reason = '',
        public string $place = '',
        public ?Waiver $waiver = null,
        public string $waivable = '',
    ) {}

    /** Whether it stands in the way. */
    public function stops(): bool
    {
        return !$this->met && $this->waiver === null;
    }
}
