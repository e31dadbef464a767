<?php

declare(strict_types=1);

namespace App\People\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Rights\Duty;

#[OA\Schema]
final readonly class DutyRow
{
    private function __construct(#[OA\Property] public string $code, #[OA\Property] public string $name) {}

    public static function of(Duty $duty): self
    {
        return new self($duty->value, ucfirst($duty->task()));
    }
}
