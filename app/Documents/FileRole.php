<?php

declare(strict_types=1);

namespace App\Documents;

/** What a file is to its item. */
enum FileRole: string
{
    /** The face of a drawing or document: it is released with the revision, and never changes after. */
    case Sheet = 'sheet';

    /** What the supplier says of a bought part. It may come when the part has long been released. */
    case DataSheet = 'data_sheet';

    case Picture = 'picture';

    /** Whether it is part of what is signed and released. */
    public function isReleased(): bool
    {
        return $this === self::Sheet;
    }
}
