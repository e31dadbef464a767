<?php

declare(strict_types=1);

namespace App\Orders\Replacing\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** What goes or comes in a replacement. */
#[OA\Schema]
final readonly class ReplacedItem
{
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'of what comes: how many take the place of one of the old')] public ?string $ratio,
        #[OA\Property(description: 'days; null: not known')] public ?int $lead_time,
    ) {}
}
