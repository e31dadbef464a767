<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;

/** An edit of what is on record about one engineering line, by the key of that line. */
interface RecordEdit extends Edit
{
    /**
     * @return ?OnRecord as it is afterwards; null: nothing is on record
     *
     * @throws Refusal when the edit does not fit
     */
    public function apply(?OnRecord $record): ?OnRecord;
}
