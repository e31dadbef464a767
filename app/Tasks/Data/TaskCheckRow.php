<?php

declare(strict_types=1);

namespace App\Tasks\Data;

use App\Tasks\Models\TaskCheck;
use OpenApi\Attributes as OA;

/** A row of the check list of a task. */
#[OA\Schema]
final readonly class TaskCheckRow
{
    private function __construct(
        #[OA\Property] public int $place,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $ticked_by,
        #[OA\Property] public ?string $ticked_at,
    ) {}

    public static function of(TaskCheck $check): self
    {
        return new self($check->place, $check->text, $check->ticker?->name, $check->ticked_at?->toIso8601String());
    }
}
