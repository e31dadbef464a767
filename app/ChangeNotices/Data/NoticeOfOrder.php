<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\Models\NoticeCopy;
use App\Orders\Models\ChangeOrder;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

/** Which notice an order has, and how far it has come. */
#[OA\Schema]
final readonly class NoticeOfOrder
{
    /** Seconds after a release for which its notice is waited for. */
    private const SOON = 120;

    private function __construct(
        #[OA\Property(description: 'null: none was issued')] public ?string $number,
        #[OA\Property(description: 'whether the order was released just now, and its notice is being written')] public bool $coming,
        #[OA\Property] public ?string $issued_at,
        #[OA\Property(description: 'how many have it')] public int $sent,
        #[OA\Property(description: 'how many of them are asked to acknowledge it')] public int $asked,
        #[OA\Property(description: 'how many of those have')] public int $acknowledged,
    ) {}

    public static function of(ChangeOrder $order, ?ChangeNotice $notice): self
    {
        $asked = $notice?->copies->where('acknowledge', true);

        return new self(
            number: $notice?->number,
            coming: $notice === null &&
                config()->boolean('notices.tell') &&
                $order->released_at?->isAfter(CarbonImmutable::now()->subSeconds(self::SOON)) === true,
            issued_at: $notice?->issued_at->toIso8601String(),
            sent: $notice?->copies->count() ?? 0,
            asked: $asked?->count() ?? 0,
            acknowledged: $asked?->filter(static fn(NoticeCopy $one): bool => $one->acknowledged_at !== null)->count() ?? 0,
        );
    }
}
