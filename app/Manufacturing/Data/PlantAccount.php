<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Manufacturing\BuiltAt;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Change\FollowsLater;
use Orthotaxis\Core\Manufacturing\Accountability;

/** A plant that builds an item, and how much of it as an order would make it is open there. */
#[OA\Schema]
final readonly class PlantAccount
{
    /** @param  list<string>  $edits */
    private function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $plant,
        #[OA\Property(description: 'the revision by which the plant builds it; null: none yet')] public ?string $built,
        #[OA\Property(description: 'the revision that the order gives it; null: it stays as it is')] public ?string $becomes,
        #[OA\Property] public int $lines,
        #[OA\Property] public int $open,
        #[
            OA\Property(description: 'what the plant would go on to build and engineering no longer declares, and what it adds'),
        ]
        public int $additions,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what the order does to it, in words'),
        ]
        public array $edits,
        #[OA\Property(description: 'the decision that it takes over later; null: none', nullable: true)] public ?FollowUpRow $later,
    ) {}

    public static function of(BuiltAt $at, Accountability $of, ?FollowsLater $later): self
    {
        return new self(
            item: $at->item->number,
            title: $at->item->title,
            plant: $at->plant,
            built: $at->released?->code,
            becomes: $at->becomes,
            lines: count($of->lines),
            open: count($of->open()),
            additions: count($of->additions),
            edits: $at->edits,
            later: $later === null ? null : FollowUpRow::of($later),
        );
    }
}
