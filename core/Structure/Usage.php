<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Quantity\Quantity;

/** One parent uses so much of one component, in the component's own unit; several lines are added up by who gives it. */
final readonly class Usage
{
    public function __construct(public int $parent, public int $component, public Quantity $quantity) {}
}
