<?php

declare(strict_types=1);

namespace App\Imports\Data;

use App\Http\Api\ListOf;
use App\Imports\Models\Import;
use App\Imports\Subject;
use OpenApi\Attributes as OA;

/** A file that is taken over, or was, and how far it is. */
#[OA\Schema]
final readonly class ImportData
{
    /** @param  list<FaultRow>  $faults the first of them */
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: Subject::class)] public string $subject,
        #[OA\Property] public string $file,
        #[OA\Property(enum: ['waiting', 'checking', 'writing', 'done', 'refused', 'failed', 'cancelled'])] public string $state,
        #[OA\Property] public int $rows,
        #[OA\Property] public int $fault_count,
        #[ListOf(FaultRow::class)] public array $faults,
        #[OA\Property] public string $outcome,
        #[OA\Property] public string $person,
        #[OA\Property] public string $asked_at,
    ) {}

    public static function of(Import $import): self
    {
        return new self(
            id: $import->id,
            subject: $import->subject->value,
            file: $import->file,
            state: $import->state,
            rows: $import->rows,
            fault_count: $import->fault_count,
            faults: array_map(
                static fn(array $fault): FaultRow => new FaultRow($fault['row'], $fault['column'], $fault['reason']),
                $import->faults,
            ),
            outcome: $import->outcome,
            person: $import->person->name,
            asked_at: $import->asked_at->toIso8601ZuluString(),
        );
    }
}
