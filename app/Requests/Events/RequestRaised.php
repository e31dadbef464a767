<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;

/** A request is raised, by itself or out of another. */
final readonly class RequestRaised extends Deed
{
    public const NAME = 'request.raised';

    /** @param  list<string>  $items */
    public function __construct(string $by, string $of, public string $title, public array $items, public ?string $splitFrom = null)
    {
        parent::__construct($by, $of);
    }
}
