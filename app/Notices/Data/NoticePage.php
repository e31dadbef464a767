<?php

declare(strict_types=1);

namespace App\Notices\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What one person was told of, the newest first. */
#[OA\Schema]
final readonly class NoticePage
{
    /** @param  list<NoticeRow>  $rows */
    public function __construct(
        #[OA\Property(description: 'how many in all they have not read')] public int $unread,
        #[OA\Property(description: 'how many there are in all that were asked for')] public int $total,
        #[OA\Property(description: 'how many newer ones were left out')] public int $from,
        #[ListOf(NoticeRow::class)] public array $rows,
    ) {}
}
