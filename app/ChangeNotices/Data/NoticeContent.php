<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Http\Api\ListOf;
use App\Orders\Data\WaiverRow;
use OpenApi\Attributes as OA;

/** What a change notice says: all of it, for people who see nothing else of the order. */
#[OA\Schema]
final readonly class NoticeContent
{
    /**
     * @param  list<NoticeReason>  $reasons
     * @param  list<NoticeItem>  $items
     * @param  list<NoticeSubject>  $subjects
     * @param  list<NoticeLater>  $later
     * @param  list<string>  $products  what is sold and has any of it in it: number and title
     * @param  list<NoticeSheet>  $sheets
     * @param  list<NoticeSignature>  $signatures
     * @param  list<WaiverRow>  $waivers  checks that were let go
     */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $order,
        #[OA\Property] public string $title,
        #[OA\Property] public string $description,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[OA\Property] public ?string $effective_on,
        #[OA\Property] public string $released_at,
        #[OA\Property] public string $released_by,
        #[ListOf(NoticeReason::class)] public array $reasons,
        #[ListOf(NoticeItem::class)] public array $items,
        #[ListOf(NoticeSubject::class)] public array $subjects,
        #[ListOf(NoticeLater::class)] public array $later,
        #[ListOf('string')] public array $products,
        #[ListOf(NoticeSheet::class)] public array $sheets,
        #[ListOf(NoticeSignature::class)] public array $signatures,
        #[ListOf(WaiverRow::class)] public array $waivers,
    ) {}
}
