<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Models;

use App\Releases\Models\Handover;

/** When a file is written. */
enum Moment: string
{
    /** An order is released: its hand-over is on its way to planning. */
    case Released = 'released';
    /** Planning has taken all of a release. */
    case Taken = 'taken';
    /** Planning is told what to do about open documents. */
    case Documents = 'documents';
    /** What planning has is put right. */
    case Corrected = 'corrected';

    public static function ofWriting(Handover $handover): self
    {
        return match ($handover->kind) {
            'correction' => self::Corrected,
            'documents' => self::Documents,
            default => self::Released,
        };
    }
}
