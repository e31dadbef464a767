<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Ledger\Deed;

/** A question needs no answer any more. */
final readonly class QuestionWithdrawn extends Deed
{
    public const NAME = 'question.withdrawn';

    public function __construct(string $by, string $of, public string $text)
    {
        parent::__construct($by, $of);
    }
}
