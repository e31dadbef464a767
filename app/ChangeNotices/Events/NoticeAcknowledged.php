<?php

declare(strict_types=1);

namespace App\ChangeNotices\Events;

use App\Ledger\Deed;

/** Somebody says that they have read a change notice. */
final readonly class NoticeAcknowledged extends Deed
{
    public const NAME = 'change_notice.acknowledged';

    public function __construct(string $by, string $of, public string $notice, public string $sha256)
    {
        parent::__construct($by, $of);
    }
}
