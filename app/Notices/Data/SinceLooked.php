<?php

declare(strict_types=1);

namespace App\Notices\Data;

use App\Http\Api\ListOf;
use App\Ledger\LedgerRow;
use OpenApi\Attributes as OA;

/** What others did to a change since somebody looked at it last. */
#[OA\Schema]
final readonly class SinceLooked
{
    /** @param  list<LedgerRow>  $acts  the newest first */
    public function __construct(
        #[OA\Property(description: 'when they looked last; null: never before')] public ?string $since,
        #[OA\Property(description: 'how many acts there are')] public int $total,
        #[ListOf(LedgerRow::class)] public array $acts,
        #[
            OA\Property(
                description: 'sign-in name => name of who did them',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
            ),
        ]
        public \stdClass $names,
    ) {}
}
