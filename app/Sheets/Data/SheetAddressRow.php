<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use App\Sheets\Models\SheetAddress;
use OpenApi\Attributes as OA;

/** The private address of a sheet. */
#[OA\Schema]
final readonly class SheetAddressRow
{
    /** @param  list<string>  $languages */
    private function __construct(
        #[OA\Property(description: 'null: it has none')] public ?string $address,
        #[OA\Property] public ?string $made_at,
        #[OA\Property(description: 'a revision has, or may have, one')] public bool $released,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'in which it can be stamped'),
        ]
        public array $languages,
    ) {}

    /** @param  list<string>  $languages */
    public static function of(?SheetAddress $one, bool $released, array $languages): self
    {
        return new self($one?->url(), $one?->made_at->toIso8601String(), $released, $languages);
    }
}
