<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Structure;

/** The lines of an item as they are to be under something that plans them. Whoever plans changes says it. */
interface PlannedSide
{
    /**
     * @param  SideSpec  $spec  with the number of what plans it
     *
     * @throws Refusal at the place, when there is nothing of the kind
     */
    public function of(SideSpec $spec, string $place): Structure;
}
