<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What was edited under one task, and nothing else. */
#[OA\Schema]
final readonly class TaskWorkPage
{
    /** @param  list<TaskWorkSubject>  $subjects */
    public function __construct(
        #[ListOf(TaskWorkSubject::class)] public array $subjects,
        #[OA\Property(description: 'whether you may take all of it back')] public bool $can_undo,
        #[OA\Property] public bool $can_redo,
    ) {}
}
