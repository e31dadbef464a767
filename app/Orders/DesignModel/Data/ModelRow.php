<?php

declare(strict_types=1);

namespace App\Orders\DesignModel\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;

/** Where the model says otherwise than the structure. */
#[OA\Schema]
final readonly class ModelRow
{
    /** @param  list<string>  $waits_for  what of it has no number yet, as the model calls it */
    public function __construct(
        #[OA\Property(description: 'by which it is chosen')] public string $key,
        #[OA\Property(description: 'number; of a new assembly, what the model calls it')] public string $parent,
        #[OA\Property(enum: ['added', 'changed', 'removed'])] public string $mark,
        #[OA\Property(description: 'number; of something new, what the model calls it')] public string $component,
        #[OA\Property] public string $title,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $before,
        #[OA\Property(description: 'in the model; 0: none any more')] public int $pieces,
        #[OA\Property(description: 'a person has to do it; empty: it can be taken over')] public string $why,
        #[ListOf('string')] public array $waits_for,
        #[OA\Property(description: 'somebody has decided that the structure is not to have it')] public bool $unwanted,
    ) {}
}
