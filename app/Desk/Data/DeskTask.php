<?php

declare(strict_types=1);

namespace App\Desk\Data;

use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

/** Something that this person is to do. */
#[OA\Schema]
final readonly class DeskTask
{
    public function __construct(
        #[OA\Property] public string $todo,
        #[OA\Property] public ChangeRow $change,
        #[OA\Property(description: 'since when it waits')] public string $since,
        #[OA\Property(description: 'the day by which it is to be done')] public ?string $due_on = null,
        #[
            OA\Property(description: 'number of the task, or of the change notice, that it is; null: the change itself waits'),
        ]
        public ?string $task = null,
    ) {}
}
