<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Dossier\References\RecordReference;
use OpenApi\Attributes as OA;

/** A record of another process that a change refers to. */
#[OA\Schema]
final readonly class ReferenceRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'a code of the list of records')] public string $kind,
        #[OA\Property] public string $number,
        #[OA\Property(description: 'of its page; empty: none')] public string $address,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {}

    public static function of(RecordReference $one): self
    {
        return new self(
            id: $one->id,
            kind: $one->kind,
            number: $one->number,
            address: $one->address,
            by: $one->person->name,
            at: $one->made_at->toIso8601String(),
        );
    }
}
