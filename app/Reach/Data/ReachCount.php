<?php

declare(strict_types=1);

namespace App\Reach\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Impact\ReachReason;

#[OA\Schema]
final readonly class ReachCount
{
    public function __construct(#[OA\Property(enum: ReachReason::class)] public string $reason, #[OA\Property] public int $rows) {}
}
