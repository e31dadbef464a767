<?php

declare(strict_types=1);

namespace App\ChangeNotices\Events;

use App\Ledger\Deed;

/** The notice of a released order is written, and goes to those whom it concerns. */
final readonly class NoticeIssued extends Deed
{
    public const NAME = 'change_notice.issued';

    /** @param  list<string>  $to  sign-in names */
    public function __construct(string $by, string $of, public string $notice, public string $sha256, public array $to)
    {
        parent::__construct($by, $of);
    }
}
