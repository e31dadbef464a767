<?php

declare(strict_types=1);

namespace App\Tasks\Data;

use App\Tasks\Models\TaskSubject;
use OpenApi\Attributes as OA;

/** A subject of an order that is edited by a task. */
#[OA\Schema]
final readonly class TaskSubjectRow
{
    private function __construct(
        #[OA\Property(description: 'number of the item')] public string $item,
        #[OA\Property(description: 'engineering, manufacturing, item_data')] public string $kind,
        #[OA\Property(description: 'empty where it is of no plant')] public string $plant,
    ) {}

    public static function of(TaskSubject $subject): self
    {
        return new self($subject->item->number, $subject->kind, $subject->plant);
    }
}
