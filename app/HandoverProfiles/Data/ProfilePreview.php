<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Data;

use OpenApi\Attributes as OA;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Profile;

/** What a profile would make of a past hand-over. */
#[OA\Schema]
final readonly class ProfilePreview
{
    /** Lines that are shown; it is said how many there are. */
    private const SHOWN = 300;

    private function __construct(
        #[OA\Property(description: 'null: nothing of it is for the profile, and no file is written')] public ?string $file_name,
        #[OA\Property] public int $entries,
        #[OA\Property(description: 'entries that are not for it')] public int $left_out,
        #[OA\Property] public int $bytes,
        #[OA\Property] public int $lines,
        #[OA\Property(description: 'the first 300 lines')] public string $begins,
    ) {}

    public static function of(Profile $profile, Document $document): self
    {
        $selected = $profile->select($document);
        $content = $selected === null ? '' : $profile->format->write($selected);
        $lines = $content === '' ? [] : explode("\n", rtrim(str_replace("\r\n", "\n", $content), "\n"));

        return new self(
            file_name: $selected === null ? null : $profile->name->for($selected, 1, $profile->format),
            entries: count($selected->entries ?? []),
            left_out: count($document->entries) - count($selected->entries ?? []),
            bytes: strlen($content),
            lines: count($lines),
            begins: implode("\n", array_slice($lines, 0, self::SHOWN)),
        );
    }
}
