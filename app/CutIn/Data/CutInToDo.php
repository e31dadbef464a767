<?php

declare(strict_types=1);

namespace App\CutIn\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\CutIn\ToDoKind;

/** One thing that has to be done for a cut-in on a day, and by when. */
#[OA\Schema]
final readonly class CutInToDo
{
    public function __construct(
        #[OA\Property] public string $plant,
        #[OA\Property(enum: ToDoKind::class)] public string $kind,
        #[OA\Property(description: 'the same in words')] public string $what,
        #[OA\Property(description: 'the last day for it')] public string $by,
        #[OA\Property(description: 'number of the part; empty for what belongs to all')] public string $item,
        #[OA\Property(description: 'empty where there is none yet')] public string $document,
        #[OA\Property(description: 'empty where nothing is counted')] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property(description: 'the day on which it is wanted, or comes')] public ?string $for,
    ) {}
}
