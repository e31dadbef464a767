<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Refusal;

/** What was on record about an engineering line no longer is: it is to be taken over again. */
final readonly class TakeOffRecord implements RecordEdit
{
    use OfRecord;

    public const NAME = 'unrecord';

    public function apply(?OnRecord $record): null
    {
        return $record === null ? throw Refusal::at('line', 'Nothing is on record about this line.') : null;
    }

    public function inWords(): string
    {
        return 'taken off the record';
    }
}
