<?php

declare(strict_types=1);

namespace App\Dossier\Data;

use App\CutIn\Data\CutInOutcomeRow;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What the cut-in of a released order was planned to leave over and lack, and what became of it. */
#[OA\Schema]
final readonly class OrderOutcome
{
    /** @param  list<CutInOutcomeRow>  $parts */
    public function __construct(
        #[OA\Property] public string $order,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'for which the day was chosen')] public string $request,
        #[OA\Property] public string $cut_in_on,
        #[ListOf(CutInOutcomeRow::class)] public array $parts,
    ) {}
}
