<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Orders\Models\FollowUp;
use OpenApi\Attributes as OA;

/** A plant that builds it as before until another order. */
#[OA\Schema]
final readonly class NoticeLater
{
    private function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $plant,
        #[OA\Property] public string $order,
        #[OA\Property] public string $by,
        #[OA\Property] public string $reason,
    ) {}

    public static function of(FollowUp $one): self
    {
        return new self(item: $one->item->number, plant: $one->plant, order: $one->under->number, by: $one->by_day, reason: $one->reason);
    }
}
