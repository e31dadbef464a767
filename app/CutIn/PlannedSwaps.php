<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Comparison\Comparison;

/** What the orders of a request do to structures. Whoever keeps orders says it. */
interface PlannedSwaps
{
    /** @return list<Comparison> of each item that is revised, and of what plants build, what was and what will be */
    public function of(ChangeRequest $request): array;
}
