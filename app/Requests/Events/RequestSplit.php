<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** Items of a request go on in a new one. */
final readonly class RequestSplit extends Deed
{
    public const NAME = 'request.split';

    /** @param  list<string>  $items */
    public function __construct(string $by, string $of, public string $into, public array $items)
    {
        parent::__construct($by, $of);
    }
}
