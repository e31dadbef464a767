<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Http\Api\ListOf;
use App\Structures\Models\Category;
use App\Structures\Models\UsualDisposition;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\Money;

/** A category: how its items are numbered and revised, and what they are asked for. */
#[OA\Schema]
final readonly class CategoryRow
{
    /**
     * @param  list<AskedAttribute>  $attributes
     * @param  list<CategoryDisposition>  $dispositions
     */
    private function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'the code of the category it stands under')] public ?string $under,
        #[
            OA\Property(
                enum: ['letters', 'numbers', 'numbers_then_letters'],
                description: 'null: as the kind of the item says',
                nullable: true,
            ),
        ]
        public ?string $sequence,
        #[OA\Property] public string $number_prefix,
        #[OA\Property] public int $number_width,
        #[OA\Property] public bool $number_check,
        #[OA\Property(enum: ['with_before', 'first', 'last', 'left_out'], nullable: true)] public ?string $taken_over,
        #[OA\Property] public string $taken_over_reason,
        #[OA\Property] public int $items,
        #[OA\Property] public int $version,
        #[ListOf(AskedAttribute::class)] public array $attributes,
        #[ListOf(CategoryDisposition::class)] public array $dispositions,
    ) {}

    public static function of(Category $category): self
    {
        return new self(
            code: $category->code,
            name: $category->name,
            under: $category->over?->code,
            sequence: $category->sequence?->value,
            number_prefix: $category->number_prefix,
            number_width: $category->number_width,
            number_check: $category->number_check,
            taken_over: $category->taken_over?->value,
            taken_over_reason: $category->taken_over_reason,
            items: $category->items_count ?? 0,
            version: $category->version,
            attributes: array_map(
                static fn(array $asked): AskedAttribute => new AskedAttribute($asked['name'], $asked['label'], $asked['required']),
                $category->asked,
            ),
            dispositions: $category->dispositions
                ->map(
                    static fn(UsualDisposition $row): CategoryDisposition => new CategoryDisposition(
                        $row->kind,
                        $row->disposition,
                        $row->per_unit === null ? null : (string) Money::ofTenThousandths($row->per_unit),
                    ),
                )
                ->values()
                ->all(),
        );
    }
}
