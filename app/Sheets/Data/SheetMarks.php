<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** The marks of change on a sheet. */
#[OA\Schema]
final readonly class SheetMarks
{
    /** @param  list<SheetMarkRow>  $marks */
    public function __construct(
        #[OA\Property(description: 'the revision they bear; empty: not known yet')] public string $revision,
        #[OA\Property(description: 'whether the sheet is a draft, and whoever asks works on it')] public bool $may_set,
        #[ListOf(SheetMarkRow::class)] public array $marks,
    ) {}
}
