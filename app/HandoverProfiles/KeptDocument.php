<?php

declare(strict_types=1);

namespace App\HandoverProfiles;

use App\Releases\Models\Handover;
use Orthotaxis\Core\Handover\Document;
use Orthotaxis\Core\Handover\Format;

/** A hand-over as it was written, read from the file that is kept of it. */
final readonly class KeptDocument
{
    public static function of(Handover $handover): Document
    {
        $file = $handover->files()->where('format', Format::Json->value)->firstOrFail();
        /**
         * @var array{order: string, title: string, number: int, written: string, effective_from: string,
         *     entries: list<array<string, string|int|null>>} $kept
         */
        $kept = json_decode($file->content, true, flags: JSON_THROW_ON_ERROR);

        return Document::kept(
            order: $kept['order'],
            title: $kept['title'],
            number: $kept['number'],
            written: $kept['written'],
            effectiveFrom: $kept['effective_from'],
            records: $kept['entries'],
        );
    }
}
