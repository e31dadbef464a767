<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;

/** What was done to several subjects at one stroke is done again. */
final readonly class StrokeRedone extends Deed
{
    public const NAME = 'order.stroke_redone';

    public function __construct(string $by, string $of, public string $stroke, public int $subjects, public int $edits)
    {
        parent::__construct($by, $of);
    }
}
