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
    ) {}

    public static function of(Check $check): self
    {
        return new self($check->name, $check->met, $check->reason, $check->place);
    }
}
