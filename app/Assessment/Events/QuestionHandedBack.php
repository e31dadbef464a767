<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Ledger\Deed;

/** A question goes back to all who were asked. */
final readonly class QuestionHandedBack extends Deed
{
    public const NAME = 'question.handed_back';

    public function __construct(string $by, string $of, public string $item, public string $question, public string $reason)
    {
        parent::__construct($by, $of);
    }
}
