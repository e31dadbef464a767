<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Item;
use App\Vocabulary\ChangeRow;

/** The changes that name an item. Whoever keeps changes says it. */
interface NamingChanges
{
    /** @return list<ChangeRow> newest first */
    public function naming(Item $item): array;
}
