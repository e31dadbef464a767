<?php

declare(strict_types=1);

namespace App\Notices\Data;

use App\Notices\Models\NoticeReader;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Notice\Cause;

/** Something that one person was told of. */
#[OA\Schema]
final readonly class NoticeRow
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'what was done')] public string $what,
        #[OA\Property(description: 'number of the report, request, order or item; empty: it is of none')] public string $change,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'what was said, or which task; empty: nothing')] public string $about,
        #[OA\Property(description: 'name of who did it')] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'why this person is told', enum: Cause::class)] public string $cause,
        #[OA\Property(description: 'address of the page on which it is seen')] public string $path,
        #[OA\Property] public bool $read,
    ) {}

    /** @param  array<string, string>  $names  by sign-in name */
    public static function of(NoticeReader $reader, array $names): self
    {
        $notice = $reader->notice;

        return new self(
            id: $notice->id,
            what: $notice->act->label(),
            change: $notice->change,
            title: $notice->title,
            about: $notice->about,
            by: $names[$notice->actor] ?? ucfirst($notice->actor),
            at: $notice->happened_at->toIso8601String(),
            cause: $reader->cause->value,
            path: $notice->path,
            read: $reader->read_at !== null,
        );
    }
}
