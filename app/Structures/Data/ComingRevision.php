<?php

declare(strict_types=1);

namespace App\Structures\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Revision\DatedRevision;

/** A revision that is released and not yet in force. */
#[OA\Schema]
final readonly class ComingRevision
{
    private function __construct(#[OA\Property] public string $code, #[OA\Property] public string $first_day) {}

    public static function of(?DatedRevision $revision): ?self
    {
        return $revision === null ? null : new self($revision->code, (string) $revision->days->from);
    }
}
