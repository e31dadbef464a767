<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Structures\Models\Content;
use App\Structures\Models\Item;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Manufacturing\Accountability;

/** A plant that builds an item, and how much of it as an order would make it is open there. */
#[OA\Schema]
final readonly class PlantAccount
{
    private function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $plant,
        #[OA\Property(description: 'the revision by which the plant builds it')] public string $built,
        #[OA\Property] public int $lines,
        #[OA\Property] public int $open,
        #[
            OA\Property(description: 'what the plant would go on to build and engineering no longer declares, and what it adds'),
        ]
        public int $additions,
    ) {}

    public static function of(Item $item, Content $content, Accountability $of): self
    {
        return new self(
            item: $item->number,
            title: $item->title,
            plant: $content->plant,
            built: $content->code,
            lines: count($of->lines),
            open: count($of->open()),
            additions: count($of->additions),
        );
    }
}
