<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What was done to one subject of an order under a task. */
#[OA\Schema]
final readonly class TaskWorkSubject
{
    /** @param  list<PartChange>  $parts */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'engineering, manufacturing, item_data')] public string $kind,
        #[OA\Property(description: 'empty where it is of no plant')] public string $plant,
        #[OA\Property(description: 'how many edits of the task hold')] public int $edits,
        #[OA\Property(description: 'why it cannot be told apart from what others did: they built on it')] public ?string $built_on,
        #[ListOf(PartChange::class)] public array $parts,
    ) {}
}
