<?php

declare(strict_types=1);

namespace App\Discussion\Events;

use App\Ledger\Deed;

/** What was said is what is decided, or is not any more. */
final readonly class CommentPinned extends Deed
{
    public function __construct(string $by, string $of, public string $text, private bool $pinned)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return $this->pinned ? 'comment.pinned' : 'comment.unpinned';
    }

    public function details(): array
    {
        return ['text' => $this->text];
    }
}
