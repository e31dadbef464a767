<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\StepRun;
use Orthotaxis\Core\Approval\StepStanding;

/** A step of a path that is tried out: whether the order needs it, and who would sign it today. */
#[OA\Schema]
final readonly class PathTrialStep
{
    /**
     * @param  list<string>  $people  names of those whom it asks
     * @param  list<string>  $acting  names of those who could sign it, stand-ins too
     */
    private function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $stage,
        #[OA\Property(description: 'whether its conditions hold')] public bool $needed,
        #[OA\Property(description: 'how many signatures')] public int $signatures,
        #[ListOf('string')] public array $people,
        #[ListOf('string')] public array $acting,
        #[OA\Property(description: 'why it could not be ended; empty: it could')] public string $stuck,
    ) {}

    /** @param  array<int, string>  $names  by id */
    public static function of(StepRun $run, array $names): self
    {
        $name = static fn(int $id): string => $names[$id] ?? '';

        return new self(
            name: $run->step->name,
            stage: $run->step->stage,
            needed: $run->standing !== StepStanding::NotNeeded,
            signatures: $run->lacking,
            people: array_map($name, $run->people),
            acting: array_map($name, array_keys($run->acting)),
            stuck: $run->stuck(),
        );
    }
}
