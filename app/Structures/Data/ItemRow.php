<?php

declare(strict_types=1);

namespace App\Structures\Data;

use App\Days\Today;
use App\Http\Api\ListOf;
use App\Structures\ItemKind;
use App\Structures\Models\Item;
use App\Structures\Models\RevisingOrder;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Revision\DatedRevision;
use Orthotaxis\Core\Revision\InForce;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Revision\RevisionStatus;

/** An item as it appears in any table, with its status at a glance. */
#[OA\Schema]
final readonly class ItemRow
{
    /** @param  list<string>  $being_revised_by */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $category,
        #[OA\Property] public string $unit,
        #[
            OA\Property(description: 'the one in force today; of what is not in force, the next to come or else the last that was'),
        ]
        public ?string $revision,
        #[
            OA\Property(enum: Phase::class, description: 'what that revision is today; in_work where nothing was ever released'),
        ]
        public string $status,
        #[OA\Property(description: 'the next that is released and begins later')] public ?ComingRevision $coming,
        #[ListOf('string')] public array $being_revised_by,
        #[OA\Property] public bool $sold,
        #[OA\Property] public ?string $standard_cost,
        #[OA\Property(description: 'file by which it is told at a glance')] public ?string $picture,
    ) {}

    public static function of(Item $item): self
    {
        $on = $item->inForce(Today::day());

        return new self(
            number: $item->number,
            title: $item->title,
            kind: $item->kind->label(),
            category: $item->category->name,
            unit: $item->unit->value,
            revision: $on->shown?->code,
            status: $on->phase()->value,
            coming: ComingRevision::of($on->coming),
            being_revised_by: $item->revisingOrders->map(static fn(RevisingOrder $order): string => $order->number)->values()->all(),
            sold: $item->sold,
            standard_cost: $item->standard_cost === null ? null : (string) Money::ofTenThousandths($item->standard_cost),
            picture: $item->picture?->file_id,
        );
    }

    /** From a row that ItemRows has read. */
    public static function read(\stdClass $row, Day $today): self
    {
        /** @var list<array{string, string, ?string, ?string}> $revisions */
        $revisions = $row->revisions === null ? [] : json_decode($row->revisions, true, flags: JSON_THROW_ON_ERROR);
        $on = InForce::on(
            $today,
            array_map(
                static fn(array $one): DatedRevision => DatedRevision::kept($one[0], RevisionStatus::from($one[1]), $one[2], $one[3]),
                $revisions,
            ),
        );

        return new self(
            number: $row->number,
            title: $row->title,
            kind: ItemKind::from($row->kind)->label(),
            category: $row->category,
            unit: $row->unit,
            revision: $on->shown?->code,
            status: $on->phase()->value,
            coming: ComingRevision::of($on->coming),
            being_revised_by: $row->revised_by === null ? [] : explode(',', $row->revised_by),
            sold: $row->sold,
            standard_cost: $row->standard_cost === null ? null : (string) Money::ofTenThousandths($row->standard_cost),
            picture: $row->picture,
        );
    }
}
