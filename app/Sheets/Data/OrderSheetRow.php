<?php

declare(strict_types=1);

namespace App\Sheets\Data;

use App\Documents\Data\FileRow;
use OpenApi\Attributes as OA;

/** A sheet that an order brings, and the one before it. */
#[OA\Schema]
final readonly class OrderSheetRow
{
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'null: it is the first')] public ?FileRow $before,
        #[OA\Property] public FileRow $after,
    ) {}
}
