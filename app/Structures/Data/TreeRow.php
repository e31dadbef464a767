<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Revision\Phase;

/** A line of a tree and the item it names. */
#[OA\Schema]
final readonly class TreeRow
{
    public function __construct(
        #[OA\Property(description: 'the keys of the lines from the top down to this one')] public string $path,
        #[OA\Property] public int $level,
        #[OA\Property] public LineRow $line,
        #[OA\Property] public ItemRow $item,
        #[OA\Property(description: 'the revision that goes in on that day')] public ?string $revision,
        #[
            OA\Property(enum: Phase::class, description: 'what that revision is on that day; in_work when none applies'),
        ]
        public string $status,
        #[OA\Property(description: 'whether it has components of its own on that day')] public bool $opens,
        #[OA\Property(description: 'how much goes into the top over this path, in the unit of the line')] public string $extended,
        #[OA\Property(description: 'the same in the component\'s own unit: what to ask for when it is opened')] public string $times,
        #[OA\Property(description: 'whether the line holds on that day')] public bool $holds,
        #[
            OA\Property(
                enum: ['added', 'replaced', 'changed', 'renumbered'],
                description: 'what an open order does to it, where these are laid over',
            ),
        ]
        public ?string $mark,
        #[OA\Property] public ?string $order,
    ) {}
}
