<?php

declare(strict_types=1);

namespace App\FollowThrough\Data;

use App\FollowThrough\Models\OldDocument;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\FollowThrough\OldState;
use Orthotaxis\Core\FollowThrough\Way;
use Orthotaxis\Core\Impact\SupplyKind;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

/** A stock lot or an open document in planning that names what an order replaced, and what is done about it. */
#[OA\Schema]
final readonly class OldDocumentRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: SupplyKind::class)] public string $kind,
        #[OA\Property] public string $document,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'the revision it names; empty: it names none')] public string $revision,
        #[OA\Property(description: 'the revision or the item that takes its place; empty: nothing does')] public string $comes,
        #[OA\Property] public string $quantity,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $value,
        #[OA\Property] public ?string $due,
        #[OA\Property] public string $place,
        #[OA\Property(description: 'as planning calls it')] public string $status,
        #[OA\Property] public string $serial,
        #[OA\Property(description: 'its page in the planning system')] public string $page,
        #[OA\Property(enum: OldState::class)] public string $state,
        #[OA\Property(description: 'it appeared after the release')] public bool $is_new,
        #[OA\Property(enum: Way::class, nullable: true)] public ?string $proposed,
        #[OA\Property(enum: Way::class, nullable: true)] public ?string $way,
        #[OA\Property(description: 'sign-in name')] public ?string $owner,
        #[OA\Property] public ?string $owner_name,
        #[OA\Property(description: 'by when it is seen to')] public ?string $due_on,
        #[OA\Property(description: 'why it is accepted, or nothing is left to do')] public string $note,
        #[
            OA\Property(
                enum: ['waiting', 'taken', 'refused'],
                nullable: true,
                description: 'what planning answered to the decision; null: it was not told',
            ),
        ]
        public ?string $told,
        #[OA\Property(description: 'why planning refused it')] public string $told_reason,
        #[OA\Property(description: 'who has said that nothing is left to do; null: planning, or it is not so')] public ?string $seen_by,
        #[OA\Property(description: 'since when planning does not tell of it, or nothing is left to do')] public ?string $seen_at,
    ) {}

    public static function of(OldDocument $row): self
    {
        return new self(
            id: $row->id,
            kind: $row->kind->value,
            document: $row->document,
            item: $row->item->number,
            title: $row->item->title,
            revision: $row->revision,
            comes: $row->comes,
            quantity: (string) Quantity::ofMillionths($row->quantity),
            unit: $row->unit,
            value: (string) Money::ofTenThousandths($row->value),
            due: $row->due,
            place: $row->place,
            status: $row->status,
            serial: $row->serial,
            page: config()->string('orthotaxis.planning.pages') . '/documents/' . rawurlencode($row->document),
            state: $row->state()->value,
            is_new: $row->is_new,
            proposed: $row->proposed?->value,
            way: $row->way?->value,
            owner: $row->owner?->login,
            owner_name: $row->owner?->name,
            due_on: $row->due_on,
            note: $row->note,
            told: $row->entry?->answer,
            told_reason: $row->entry->reason ?? '',
            seen_by: $row->seenBy?->name,
            seen_at: ($row->gone_at ?? $row->seen_at)?->toIso8601String(),
        );
    }
}
