<?php

declare(strict_types=1);

namespace App\Notices\Deadlines;

/** All of one kind that is due and not done. */
interface Matters
{
    /** @return iterable<Matter> */
    public function waiting(): iterable;
}
