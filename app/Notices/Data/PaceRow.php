<?php

declare(strict_types=1);

namespace App\Notices\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Notice\Cause;
use Orthotaxis\Core\Notice\Pace;

/** How soon one person wants a mail of what they are told for one reason. */
#[OA\Schema]
final readonly class PaceRow
{
    public function __construct(
        #[OA\Property(enum: Cause::class)] public string $cause,
        #[OA\Property(enum: Pace::class)] public string $pace,
    ) {}
}
