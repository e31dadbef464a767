<?php

declare(strict_types=1);

namespace App\Discussion\Data;

use App\Discussion\Models\Comment;
use OpenApi\Attributes as OA;

/** What somebody said on a report, request, order or item. */
#[OA\Schema]
final readonly class CommentRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'name of who said it')] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public string $text,
        #[OA\Property(description: 'name of who pinned it; null: it is not pinned')] public ?string $pinned_by,
    ) {}

    public static function of(Comment $comment): self
    {
        return new self(
            id: $comment->id,
            by: $comment->person->name,
            at: $comment->made_at->toIso8601String(),
            text: $comment->text,
            pinned_by: $comment->pinnedBy?->name,
        );
    }
}
