<?php

declare(strict_types=1);

namespace App\Orders\Replacing;

use App\Orders\Subjects\NamedWork;
use Orthotaxis\Core\Structure\Structure;

/** A subject that has a component, as an order would edit it. */
final readonly class UsedIn
{
    /**
     * @param  int  $item  id
     * @param  Structure  $lines  as they are, with what the order does to them already
     */
    public function __construct(public NamedWork $subject, public int $item, public Structure $lines) {}
}
