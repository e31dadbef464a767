<?php

declare(strict_types=1);

namespace App\Orders\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Readiness\Check;

#[OA\Schema]
final readonly class CheckRow
{
    private function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public bool $met,
        #[OA\Property] public string $reason,
        #[OA\Property(description: 'where it can be put right')] public string $place,
        #[OA\Property(description: 'whether somebody has let it go')] public bool $waived,
        #[OA\Property(description: 'the name under which it can be let go; empty: it cannot, or it holds')] public string $waivable,
    ) {}

    public static function of(Check $check): self
    {
        return new self(
            name: $check->name,
            met: $check->met,
            reason: $check->reason,
            place: $check->place,
            waived: $check->waiver !== null,
            waivable: $check->waivable,
        );
    }
}
