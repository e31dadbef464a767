<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Ledger\Deed;

/** Of those who are asked one takes a question on. */
final readonly class QuestionClaimed extends Deed
{
    public const NAME = 'question.claimed';

    public function __construct(string $by, string $of, public string $item, public string $question)
    {
        parent::__construct($by, $of);
    }
}
