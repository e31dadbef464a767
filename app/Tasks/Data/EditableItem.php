<?php

declare(strict_types=1);

namespace App\Tasks\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\Outcome;

/** An item that changes under an order, of which a task may edit something. */
#[OA\Schema]
final readonly class EditableItem
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Outcome::class)] public string $outcome,
    ) {}
}
