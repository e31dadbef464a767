<?php

declare(strict_types=1);

namespace App\Problems\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** A page of the reports that were found. */
#[OA\Schema]
final readonly class FoundReports
{
    /** @param  list<ReportRow>  $rows */
    public function __construct(
        #[OA\Property(description: 'of all that is found')] public int $total,
        #[OA\Property] public int $from,
        #[ListOf(ReportRow::class)] public array $rows,
    ) {}
}
