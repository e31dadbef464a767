<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;

/** A parent's line, or a document, that points to another revision of an item than the one released last: which holds until it ends. */
#[OA\Schema]
final readonly class OlderUse
{
    public function __construct(
        #[OA\Property(description: 'the parent or the document')] public ItemRow $item,
        #[OA\Property(enum: ['line', 'document'])] public string $what,
        #[OA\Property(description: 'of the line; empty for a document')] public string $line,
        #[OA\Property] public ?int $find,
        #[OA\Property(description: 'the revision it points to')] public string $revision,
        #[OA\Property(description: 'the last day on which that revision holds')] public ?string $last_day,
        #[OA\Property(description: 'whether it has ended already')] public bool $ended,
        #[OA\Property(description: 'the open order under which it adopts a newer one')] public ?string $adopted_by,
    ) {}
}
