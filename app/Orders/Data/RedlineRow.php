<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Structures\Data\ItemRow;
use App\Structures\Data\LineRow;
use OpenApi\Attributes as OA;

/** One line before and after, with its mark. */
#[OA\Schema]
final readonly class RedlineRow
{
    /** @param  list<string>  $fields that differ */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property(enum: ['added', 'removed', 'replaced', 'changed', 'renumbered', 'unchanged'])] public string $mark,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $before,
        #[OA\Property(ref: LineRow::class, nullable: true)] public ?LineRow $after,
        #[ListOf('string')] public array $fields,
        #[OA\Property(ref: ItemRow::class, nullable: true)] public ?ItemRow $was_item,
        #[OA\Property(ref: ItemRow::class, nullable: true)] public ?ItemRow $item,
        #[OA\Property(description: 'who edited it last')] public ?string $edited_by,
        #[OA\Property] public ?string $edited_at,
    ) {}
}
