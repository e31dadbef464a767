<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A structure as a tree, some levels deep. */
#[OA\Schema]
final readonly class TreePage
{
    /**
     * @param  list<TreeRow>  $rows  a line directly before all that is below it
     * @param  list<RevisionRow>  $built  the revisions of what the plant builds, newest first; of another structure none
     */
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property(enum: ['design', 'engineering', 'manufacturing'])] public string $kind,
        #[OA\Property(description: 'the plant that sees a manufacturing structure so; empty for the first')] public string $plant,
        #[OA\Property] public string $on,
        #[OA\Property(description: 'whether lines of other days are among them')] public bool $any_time,
        #[OA\Property(description: 'that holds on the day; of what a plant builds, its own')] public ?RevisionRow $revision,
        #[ListOf(RevisionRow::class)] public array $built,
        #[
            OA\Property(description: 'that builds it so: another one where the plant of the view builds none; null: nobody builds it'),
        ]
        public ?string $built_at,
        #[OA\Property] public int $levels,
        #[OA\Property(description: 'whether rows are left out because there are too many')] public bool $more,
        #[ListOf(TreeRow::class)] public array $rows,
    ) {}
}
