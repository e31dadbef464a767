<?php

declare(strict_types=1);

namespace App\People\Data;

use App\People\Models\Absence;
use App\People\Models\Person;
use OpenApi\Attributes as OA;

/** When somebody is away, and who stands in. */
#[OA\Schema]
final readonly class AbsenceRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'sign-in name')] public string $person,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'sign-in name; null: nobody stands in')] public ?string $deputy,
        #[OA\Property] public ?string $deputy_name,
        #[OA\Property] public string $first_day,
        #[OA\Property] public string $last_day,
        #[OA\Property(description: 'whether you may remove it')] public bool $mine,
    ) {}

    public static function of(Absence $absence, Person $reader, bool $setsUp): self
    {
        return new self(
            id: $absence->id,
            person: $absence->person->login,
            name: $absence->person->name,
            deputy: $absence->deputy?->login,
            deputy_name: $absence->deputy?->name,
            first_day: $absence->first_day,
            last_day: $absence->last_day,
            mine: $setsUp || $absence->person_id === $reader->id,
        );
    }
}
