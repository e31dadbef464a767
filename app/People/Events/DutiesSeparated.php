<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Ledger\Deed;

/** Other pairs of duties are kept apart. */
final readonly class DutiesSeparated extends Deed
{
    public const NAME = 'duties.separated';

    /** @param  list<array{string, string}>  $pairs */
    public function __construct(string $by, public array $pairs)
    {
        parent::__construct($by, 'duties');
    }
}
