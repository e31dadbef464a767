<?php

declare(strict_types=1);

namespace App\Audit\Data;

use App\Http\Api\ListOf;
use App\Ledger\LedgerRow;
use OpenApi\Attributes as OA;

/** Records of the ledger, the newest first. */
#[OA\Schema]
final readonly class LedgerPage
{
    /** @param  list<LedgerRow>  $rows */
    public function __construct(
        #[OA\Property(description: 'how many there are in all that were asked for')] public int $total,
        #[OA\Property(description: 'the record before which these stand; 0: the newest')] public int $from,
        #[OA\Property(description: 'ask for the records before this one; null: there are no more')] public ?int $next,
        #[ListOf(LedgerRow::class)] public array $rows,
    ) {}
}
