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

    /** The design model as a STEP file: released with the revision, as the sheet is. */
    case Model = 'model';

    /** Whether it is part of what is signed and released. */
    public function isReleased(): bool
    {
        return in_array($this, self::released(), true);
    }

    /** @return list<self> that are part of what is signed and released */
    public static function released(): array
    {
        return [self::Sheet, self::Model];
    }
}
