<?php

declare(strict_types=1);

namespace App\Dossier\Sheet\Data;

use App\Http\Api\ListOf;
use App\Orders\Sheet\Data\SheetChange;
use App\Orders\Sheet\Data\SheetFault;
use OpenApi\Attributes as OA;

/** What a sheet makes of nothing, or would: an order, the items on it and its lines. Where a cell cannot be so, nothing is done. */
#[OA\Schema]
final readonly class RaisedFromSheet
{
    /**
     * @param  list<string>  $items
     * @param  list<SheetChange>  $changes
     * @param  list<SheetFault>  $faults
     */
    private function __construct(
        #[OA\Property(description: 'the order; null: none was raised')] public ?string $number,
        #[OA\Property] public string $title,
        #[ListOf('string')] public array $items,
        #[ListOf(SheetChange::class)] public array $changes,
        #[ListOf(SheetFault::class)] public array $faults,
        #[OA\Property(description: 'under which the file is had with its bad cells marked')] public ?string $marked,
    ) {}

    /**
     * @param  list<string>  $items
     * @param  list<SheetChange>  $changes
     */
    public static function of(string $number, string $title, array $items, array $changes): self
    {
        return new self($number, $title, $items, $changes, faults: [], marked: null);
    }

    /**
     * @param  list<string>  $items
     * @param  array<int, array<string, string>>  $faults  by row and column
     */
    public static function refused(string $title, array $items, array $faults, string $marked): self
    {
        return new self(null, $title, $items, changes: [], faults: SheetFault::all($faults), marked: $marked);
    }

    /** It was only looked at. */
    public function lookedAt(): self
    {
        return new self(null, $this->title, $this->items, $this->changes, faults: $this->faults, marked: $this->marked);
    }
}
