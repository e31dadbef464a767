<?php

declare(strict_types=1);

namespace App\Discussion\Data;

use App\Attachments\Said\SaidFile;
use App\Attachments\Said\SaidFileRow;
use App\Discussion\Models\Comment;
use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** What somebody said on a report, request, order or item. */
#[OA\Schema]
final readonly class CommentRow
{
    /** @param  list<SaidFileRow>  $files */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'name of who said it')] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public string $text,
        #[OA\Property(description: 'name of who pinned it; null: it is not pinned')] public ?string $pinned_by,
        #[OA\Property(description: 'parent of the line that it is said of; empty: of the whole')] public string $item,
        #[OA\Property(description: '"engineering", "manufacturing:Weir"')] public string $work,
        #[OA\Property(description: 'key of the line')] public string $line,
        #[OA\Property(description: 'the line as people called it then: line 40 200-0131')] public string $called,
        #[ListOf(SaidFileRow::class)] public array $files,
    ) {}

    public static function of(Comment $comment): self
    {
        return new self(
            id: $comment->id,
            by: $comment->person->name,
            at: $comment->made_at->toIso8601String(),
            text: $comment->text,
            pinned_by: $comment->pinnedBy?->name,
            item: $comment->item,
            work: $comment->work,
            line: $comment->part,
            called: $comment->called,
            files: array_values($comment->files->map(static fn(SaidFile $one): SaidFileRow => SaidFileRow::of($one))->all()),
        );
    }
}
