<?php

declare(strict_types=1);

namespace App\ChangeNotices\Events;

use App\Ledger\Deed;

/** A change notice goes to people once more, or to others. */
final readonly class NoticeSent extends Deed
{
    public const NAME = 'change_notice.sent';

    /** @param  list<string>  $to  sign-in names */
    public function __construct(string $by, string $of, public string $notice, public array $to)
    {
        parent::__construct($by, $of);
    }
}
