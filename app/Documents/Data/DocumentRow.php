<?php

declare(strict_types=1);

namespace App\Documents\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** A drawing or document that describes an item, or an item that it describes. */
#[OA\Schema]
final readonly class DocumentRow
{
    public function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'the revision of the described item that it shows')] public ?string $shows,
        #[OA\Property(description: 'it shows a revision that has ended')] public bool $older,
        #[OA\Property(description: 'the open order under which it adopts the newest')] public ?string $adopted_by,
        #[OA\Property(description: 'its sheet in force, or else the newest, to be shown at once')] public ?FileRow $sheet,
    ) {}
}
