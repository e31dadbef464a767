<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\Orders\Data\OrderItemData;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Outcome;

/** An item on the order: which revision takes the place of which, and what happens to what exists of it. */
#[OA\Schema]
final readonly class NoticeItem
{
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Outcome::class)] public string $outcome,
        #[OA\Property] public ?string $was,
        #[OA\Property] public ?string $becomes,
        #[OA\Property(enum: ['use_up', 'rework', 'scrap', 'return', 'hold'], nullable: true)] public ?string $disposition,
    ) {}

    public static function of(OrderItemData $row): self
    {
        return new self(
            number: $row->item->number,
            title: $row->item->title,
            outcome: $row->outcome,
            was: $row->base,
            becomes: $row->becomes,
            disposition: $row->disposition,
        );
    }
}
