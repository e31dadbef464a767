<?php

declare(strict_types=1);

namespace App\Reach\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Impact\ReachReason;

/** One thing that a change would touch. */
#[OA\Schema]
final readonly class ReachRow
{
    /** @param  list<string>  $path  numbers of items from what is affected to this one, both included */
    public function __construct(
        #[OA\Property(description: 'what a decision on it is made under')] public string $subject,
        #[OA\Property(enum: ReachReason::class)] public string $reason,
        #[OA\Property(description: 'of an item, a request or an order; of the parent for an operation')] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'why the change touches it')] public string $why,
        #[OA\Property(description: 'how many steps above what is affected')] public int $level,
        #[ListOf('string')] public array $path,
        #[OA\Property(ref: ItemRow::class, nullable: true)] public ?ItemRow $item,
        #[OA\Property(ref: ReachDecision::class, nullable: true)] public ?ReachDecision $decision,
    ) {}
}
