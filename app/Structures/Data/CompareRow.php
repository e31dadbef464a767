<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** One line that differs, and where it stands. */
#[OA\Schema]
final readonly class CompareRow
{
    /**
     * @param  list<string>  $way  the numbers of the items above the parent, from the top
     * @param  list<string>  $fields  the fields that differ
     */
    public function __construct(
        #[ListOf('string')] public array $way,
        #[OA\Property] public string $parent_before,
        #[OA\Property] public string $parent_after,
        #[OA\Property] public int $find,
        #[OA\Property(enum: ['added', 'removed', 'replaced', 'changed', 'renumbered', 'moved', 'unchanged'])] public string $kind,
        #[OA\Property] public ?LineRow $before,
        #[OA\Property] public ?LineRow $after,
        #[OA\Property] public ?ItemRow $was_item,
        #[OA\Property] public ?ItemRow $item,
        #[ListOf('string')] public array $fields,
    ) {}
}
