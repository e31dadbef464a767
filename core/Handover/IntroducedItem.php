<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Quantity\Unit;

/** What planning has to know of an item that it has never heard of. */
final readonly class IntroducedItem
{
    public function __construct(public string $title, public Unit $unit) {}
}
