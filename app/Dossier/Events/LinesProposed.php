<?php

declare(strict_types=1);

namespace App\Dossier\Events;

use App\Ledger\Deed;

/** Items of a request were opened for the lines that it proposes. */
final readonly class LinesProposed extends Deed
{
    public const NAME = 'request.lines_proposed';

    /** @param  list<string>  $items  numbers */
    public function __construct(string $by, string $of, public array $items)
    {
        parent::__construct($by, $of);
    }
}
