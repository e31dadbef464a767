<?php

declare(strict_types=1);

namespace App\Manufacturing\Data;

use App\Manufacturing\Models\WorkCentre;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\Money;

#[OA\Schema]
final readonly class WorkCentreRow
{
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'of an hour, in the currency of the installation')] public string $rate,
        #[OA\Property(description: 'offered no longer')] public bool $retired,
        #[OA\Property] public int $version,
    ) {}

    public static function of(WorkCentre $centre): self
    {
        return new self(
            $centre->code,
            $centre->name,
            rate: (string) Money::ofTenThousandths($centre->rate),
            retired: $centre->retired,
            version: $centre->version,
        );
    }
}
