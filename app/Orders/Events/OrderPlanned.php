<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** What an order is called, when it takes effect, who edits or who signs is set. */
final readonly class OrderPlanned extends Deed
{
    public const NAME = 'order.planned';

    /** @param  array<string, ?string>  $fields  what was set, by its name */
    public function __construct(string $by, string $of, public array $fields)
    {
        parent::__construct($by, $of);
    }

    public function details(): array
    {
        return $this->fields;
    }
}
