<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Orders\Models\ApprovalPath;
use OpenApi\Attributes as OA;

/** An approval path in its newest version. */
#[OA\Schema]
final readonly class ApprovalPathRow
{
    /** @param  list<array<string, mixed>>  $steps */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $retired,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/PathStepRule'))] public array $steps,
    ) {}

    public static function of(ApprovalPath $path): self
    {
        return new self($path->code, $path->name, $path->version, $path->retired, $path->steps);
    }
}
