<?php

declare(strict_types=1);

namespace App\Planning\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Impact\SupplyKind;

#[OA\Schema]
final readonly class SupplyRow
{
    private function __construct(
        #[OA\Property(enum: SupplyKind::class)] public string $kind,
        #[OA\Property] public string $document,
        #[OA\Property(description: 'the revision the document names')] public string $revision,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $value,
        #[OA\Property] public ?string $due,
        #[OA\Property] public string $place,
        #[OA\Property] public string $status,
        #[OA\Property(description: 'serial numbers, where planning keeps them')] public string $serial,
        #[OA\Property(description: 'its page in the planning system')] public string $page,
    ) {}

    public static function of(Supply $supply): self
    {
        return new self(
            kind: $supply->kind->value,
            document: $supply->document,
            revision: $supply->revision,
            quantity: (string) $supply->quantity,
            unit: $supply->unit->value,
            value: (string) $supply->value(),
            due: $supply->due?->__toString(),
            place: $supply->place,
            status: $supply->status,
            serial: $supply->serial,
            page: config()->string('orthotaxis.planning.pages') . '/documents/' . rawurlencode($supply->document),
        );
    }
}
