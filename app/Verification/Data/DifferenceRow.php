<?php

declare(strict_types=1);

namespace App\Verification\Data;

use App\Http\Api\ListOf;
use App\Verification\Models\PlanningDifference;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\Verification\Mover;

/** A row in which planning's copy differs from what holds here. */
#[OA\Schema]
final readonly class DifferenceRow
{
    /** @param  list<DifferingField>  $fields */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['engineering', 'manufacturing', 'item_data'])] public string $structure,
        #[OA\Property(description: 'empty: of no plant')] public string $plant,
        #[OA\Property] public string $item,
        #[OA\Property] public string $revision,
        #[OA\Property(description: 'a line, an operation or a field, or the revision itself')] public string $part,
        #[OA\Property(enum: PartAction::class, description: 'what planning has to do')] public string $mark,
        #[ListOf(DifferingField::class)] public array $fields,
        #[OA\Property(enum: Mover::class)] public string $mover,
        #[OA\Property(description: 'the order that released the revision')] public ?string $order,
        #[OA\Property(description: 'of its entry in the hand-over, why planning refused it')] public string $reason,
        #[OA\Property(description: 'its page in the planning system')] public string $page,
        #[OA\Property] public string $found_at,
    ) {}

    public static function of(PlanningDifference $row): self
    {
        $difference = $row->difference();
        $fields = [];
        foreach ($difference->fields() as $name => [$there, $here]) {
            $fields[] = new DifferingField($name, $there, $here);
        }

        return new self(
            id: $row->id,
            structure: $row->structure,
            plant: $row->plant,
            item: $row->item,
            revision: $row->revision,
            part: $difference->row()->label(),
            mark: $row->mark->value,
            fields: $fields,
            mover: $row->mover->value,
            order: $row->order?->number,
            reason: $row->entry->reason ?? '',
            page: config()->string('orthotaxis.planning.pages') . self::path($row),
            found_at: $row->found_at->toIso8601String(),
        );
    }

    private static function path(PlanningDifference $row): string
    {
        $item = rawurlencode($row->item);

        return match ($row->structure) {
            'engineering' => "/structures/{$item}",
            'manufacturing' => '/plants/' . rawurlencode($row->plant) . "/{$item}",
            default => "/items/{$item}",
        };
    }
}
