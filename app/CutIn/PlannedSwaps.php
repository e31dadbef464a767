<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Comparison\Comparison;

/** What the orders of a request, or its proposal, do to structures. Whoever keeps orders says it. */
interface PlannedSwaps
{
    /**
     * @return array{string, list<array{string, Comparison}>} "order" or "proposal"; number of each item that is revised, or that a plant
     *     builds, with what was and what will be
     */
    public function of(ChangeRequest $request): array;
}
