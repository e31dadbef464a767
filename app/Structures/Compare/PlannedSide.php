<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use App\Structures\Models\Item;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** The lines of an item as they are to be under something that plans them. Whoever plans changes says it. */
interface PlannedSide
{
    /**
     * @param  string  $by  number of what plans it
     * @param  ?int  $iteration  as they were when this was saved; null for now
     *
     * @throws Refusal at the place, when there is nothing of the kind
     */
    public function of(Item $item, string $by, ?int $iteration, string $place): Structure;
}
