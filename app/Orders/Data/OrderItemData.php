<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Outcome;

/** An item on an order: what becomes of it. */
#[OA\Schema]
final readonly class OrderItemData
{
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(enum: Outcome::class)] public string $outcome,
        #[OA\Property(enum: ['use_up', 'rework', 'scrap', 'return', 'hold'], nullable: true)] public ?string $disposition,
        #[OA\Property(description: 'the revision the edits start from')] public ?string $base,
        #[OA\Property(description: 'the revision it becomes')] public ?string $becomes,
        #[OA\Property(description: 'another order has released a newer revision meanwhile')] public bool $moved_on,
        #[OA\Property(description: 'how many lines differ')] public int $changes,
        #[
            OA\Property(
                description: 'what is done to it, as its sheets tell it, by language',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
            ),
        ]
        public object $done,
    ) {}
}
