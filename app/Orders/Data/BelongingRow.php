<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\BelongingKind;
use Orthotaxis\Core\Change\BelongingState;

/** Something that belongs to an item on an order and would not fit its coming revision by itself, and what is to become of it. */
#[OA\Schema]
final readonly class BelongingRow
{
    public function __construct(
        #[OA\Property(description: 'the number of the item on the order')] public string $item,
        #[OA\Property(enum: BelongingKind::class)] public string $kind,
        #[OA\Property(description: 'what belongs to it')] public ItemRow $other,
        #[OA\Property(enum: BelongingState::class)] public string $state,
        #[OA\Property(description: 'why it does not fit; empty where it goes along or adopts')] public string $fault,
        #[OA\Property(description: 'why it is left as it is')] public string $reason,
        #[OA\Property(description: 'who has left it')] public ?string $by,
    ) {}
}
