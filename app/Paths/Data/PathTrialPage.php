<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How a path would run on a change. */
#[OA\Schema]
final readonly class PathTrialPage
{
    /**
     * @param  list<TrialFact>  $facts  on which its steps depend
     * @param  list<PathTrialStep>  $steps
     * @param  list<PathTrialTask>  $tasks
     */
    public function __construct(
        #[OA\Property] public string $change,
        #[OA\Property] public string $title,
        #[ListOf(TrialFact::class)] public array $facts,
        #[ListOf(PathTrialStep::class)] public array $steps,
        #[ListOf(PathTrialTask::class)] public array $tasks,
    ) {}
}
