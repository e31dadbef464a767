<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Changes\Data\ChangeRow;
use App\Http\Api\ListOf;
use App\Structures\Models\Item;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ItemPage
{
    /**
     * @param  list<RevisionRow>  $revisions  newest first
     * @param  list<ChangeRow>  $changes  requests and orders that name it, newest first
     */
    private function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property] public string $supply,
        #[OA\Property] public ?int $lead_time_days,
        #[OA\Property] public ?string $supplier,
        #[OA\Property] public ?string $material,
        #[ListOf(RevisionRow::class)] public array $revisions,
        #[ListOf(ChangeRow::class)] public array $changes,
    ) {}

    /** @param  list<ChangeRow>  $changes */
    public static function of(Item $item, array $changes): self
    {
        return new self(
            ItemRow::of($item),
            $item->supply,
            $item->lead_time_days,
            $item->supplier,
            $item->material,
            $item->revisions->map(RevisionRow::of(...))->values()->all(),
            $changes,
        );
    }
}
