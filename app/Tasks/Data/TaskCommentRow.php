<?php

declare(strict_types=1);

namespace App\Tasks\Data;

use App\Attachments\Said\SaidFile;
use App\Attachments\Said\SaidFileRow;
use App\Http\Api\ListOf;
use App\Tasks\Models\TaskComment;
use OpenApi\Attributes as OA;

/** What somebody said on a task. */
#[OA\Schema]
final readonly class TaskCommentRow
{
    /** @param  list<SaidFileRow>  $files */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public string $text,
        #[ListOf(SaidFileRow::class)] public array $files,
    ) {}

    public static function of(TaskComment $comment): self
    {
        return new self(
            $comment->id,
            $comment->person->name,
            $comment->made_at->toIso8601String(),
            text: $comment->text,
            files: array_values($comment->files->map(static fn(SaidFile $one): SaidFileRow => SaidFileRow::of($one))->all()),
        );
    }
}
