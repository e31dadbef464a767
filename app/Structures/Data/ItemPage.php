<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Days\Today;
use App\Http\Api\ListOf;
use App\Structures\DatedData;
use App\Structures\Models\Item;
use App\Structures\Models\Revision;
use App\Structures\Models\Succession;
use App\Vocabulary\ChangeRow;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Quantity\FixedPoint;

#[OA\Schema]
final readonly class ItemPage
{
    /**
     * @param  list<RevisionRow>  $revisions  newest first
     * @param  list<ChangeRow>  $changes  requests and orders that name it, newest first
     * @param  list<SuccessionRow>  $successions  new numbers that it got, and the old one whose new number it is
     * @param  list<AttributeValue>  $attributes  what its category asks for, and what it has besides
     */
    private function __construct(
        #[OA\Property] public ItemRow $item,
        #[OA\Property] public string $supply,
        #[OA\Property] public ?int $lead_time_days,
        #[OA\Property] public ?string $supplier,
        #[OA\Property] public ?string $material,
        #[ListOf(RevisionRow::class)] public array $revisions,
        #[ListOf(ChangeRow::class)] public array $changes,
        #[ListOf(AttributeValue::class)] public array $attributes,
        #[OA\Property(description: 'kilograms of one')] public ?string $mass,
        #[OA\Property(description: 'the day from which it is not used any more; null: it is')] public ?string $retired_from,
        #[OA\Property(description: 'what is used in its place; null: nothing')] public ?string $replaced_by,
        #[ListOf(SuccessionRow::class)] public array $successions,
    ) {}

    /** @param  list<ChangeRow>  $changes */
    public static function of(Item $item, array $changes): self
    {
        $today = Today::day();
        $retirement = DatedData::retirement($item->id);

        return new self(
            item: ItemRow::of($item),
            supply: $item->supply,
            lead_time_days: $item->lead_time_days,
            supplier: $item->supplier,
            material: $item->material,
            revisions: $item->revisions->map(static fn(Revision $one): RevisionRow => RevisionRow::of($one, $today))->values()->all(),
            changes: $changes,
            attributes: self::attributes($item),
            mass: $item->mass === null ? null : FixedPoint::format($item->mass, 6),
            retired_from: $retirement['from'] ?? null,
            replaced_by: $retirement['by'] ?? '' ?: null,
            successions: Succession::query()
                ->with(['item', 'successor', 'order'])
                ->where('item_id', $item->id)
                ->orWhere('successor_id', $item->id)
                ->orderBy('id')
                ->get()
                ->map(SuccessionRow::of(...))
                ->all(),
        );
    }

    /** @return list<AttributeValue> */
    private static function attributes(Item $item): array
    {
        /** @var array<string, string> $values */
        $values = $item->getAttribute('attributes');
        $labels = array_column($item->category->asked, 'label', 'name') + array_combine(array_keys($values), array_keys($values));

        return array_map(
            static fn(string $name, string $label): AttributeValue => new AttributeValue($name, $label, $values[$name] ?? ''),
            array_keys($labels),
            $labels,
        );
    }
}
