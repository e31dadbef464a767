<?php

declare(strict_types=1);

namespace App\Orders\Sheet\Data;

use OpenApi\Attributes as OA;

/** A cell that cannot be so. */
#[OA\Schema]
final readonly class SheetFault
{
    public function __construct(
        #[OA\Property(description: 'as a spreadsheet counts; 0: a line that the sheet takes out')] public int $row,
        #[OA\Property] public string $column,
        #[OA\Property] public string $reason,
    ) {}

    /**
     * @param  array<int, array<string, string>>  $reasons  by row and column
     * @return list<self> by row
     */
    public static function all(array $reasons): array
    {
        ksort($reasons);
        $all = [];
        foreach ($reasons as $row => $cells) {
            foreach ($cells as $column => $reason) {
                $all[] = new self($row, $column, $reason);
            }
        }

        return $all;
    }
}
