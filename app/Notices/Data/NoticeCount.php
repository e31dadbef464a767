<?php

declare(strict_types=1);

namespace App\Notices\Data;

use OpenApi\Attributes as OA;

/** How much one person has not read. */
#[OA\Schema]
final readonly class NoticeCount
{
    public function __construct(#[OA\Property] public int $unread) {}
}
