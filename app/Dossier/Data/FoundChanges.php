<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\Http\Api\ListOf;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;

/** A page of the changes that were found. */
#[OA\Schema]
final readonly class FoundChanges
{
    /** @param  list<ChangeRow>  $rows */
    public function __construct(
        #[OA\Property(description: 'of all that is found')] public int $total,
        #[OA\Property] public int $from,
        #[ListOf(ChangeRow::class)] public array $rows,
    ) {}
}
