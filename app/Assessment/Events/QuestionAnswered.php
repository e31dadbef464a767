<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Ledger\Deed;

/** A question is answered. */
final readonly class QuestionAnswered extends Deed
{
    public const NAME = 'question.answered';

    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $question,
        public string $answer,
        public bool $noEffect,
        public string $oneTime,
        public string $recurring,
    ) {
        parent::__construct($by, $of);
    }
}
