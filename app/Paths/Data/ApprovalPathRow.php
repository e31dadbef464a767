<?php

declare(strict_types=1);

namespace App\Paths\Data;

use App\Paths\Judges;
use App\Paths\Models\ApprovalPath;
use OpenApi\Attributes as OA;

/** An approval path in its newest version. */
#[OA\Schema]
final readonly class ApprovalPathRow
{
    /**
     * @param  list<array<string, mixed>>  $steps
     * @param  list<array<string, mixed>>  $tasks
     * @param  ?list<array{fact: string, values: list<string>}>  $chosen_when
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(enum: Judges::class)] public string $judges,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $retired,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/PathStepRule'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/PathTaskRule'))] public array $tasks,
        #[
            OA\Property(description: 'whether an order goes to review by itself when the last task before is done'),
        ]
        public bool $sends_itself,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/PathCondition'),
                description: 'conditions that all hold where a rule chooses it; null: it is chosen by hand',
                nullable: true,
            ),
        ]
        public ?array $chosen_when,
        #[OA\Property(description: 'of several whose rule holds the one with the least is chosen')] public int $rank,
    ) {}

    public static function of(ApprovalPath $path): self
    {
        return new self(
            code: $path->code,
            name: $path->name,
            judges: $path->judges->value,
            version: $path->version,
            retired: $path->retired,
            steps: $path->steps,
            tasks: $path->tasks,
            sends_itself: $path->sends_itself,
            chosen_when: $path->chosen_when,
            rank: $path->rank,
        );
    }
}
