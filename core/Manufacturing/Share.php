<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;

/** So much of a part stands for an engineering line. */
final readonly class Share
{
    /** @param  Exact  $quantity  in the unit of the part */
    public function __construct(public Part $part, public Exact $quantity) {}
}
