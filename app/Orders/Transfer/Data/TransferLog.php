<?php

declare(strict_types=1);

namespace App\Orders\Transfer\Data;

use App\Http\Api\ListOf;
use App\Orders\Transfer\TransferRecord;
use OpenApi\Attributes as OA;

/** What was carried over once, on record. */
#[OA\Schema]
final readonly class TransferLog
{
    /** @param  list<TransferLogRow>  $rows */
    private function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public string $into,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public string $stroke,
        #[ListOf(TransferLogRow::class)] public array $rows,
    ) {}

    public static function of(TransferRecord $one): self
    {
        return new self(
            from: $one->from->number,
            into: $one->into->number,
            by: $one->person->name,
            at: $one->made_at->toIso8601String(),
            stroke: $one->stroke,
            rows: array_map(
                static fn(array $row): TransferLogRow => new TransferLogRow(
                    source: $row['source'],
                    target: $row['target'],
                    what: $row['what'],
                    fit: $row['fit'],
                    reason: $row['reason'],
                    taken: $row['taken'],
                ),
                $one->rows,
            ),
        );
    }
}
