<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Ledger\Deed;

/** A question goes to somebody else, who knows more about it. */
final readonly class QuestionHandedOn extends Deed
{
    public const NAME = 'question.handed_on';

    /** @param  string  $to  sign-in name */
    public function __construct(
        string $by,
        string $of,
        public string $item,
        public string $question,
        public string $to,
        public string $reason,
    ) {
        parent::__construct($by, $of);
    }
}
