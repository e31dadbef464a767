<?php

declare(strict_types=1);

namespace App\Structures\Compare;

use Orthotaxis\Core\Comparison\Side;

/** A side that knows the numbers of its items. */
interface NamedSide extends Side
{
    /**
     * @param  list<int>  $items  as this side names them
     * @return array<int, string> item numbers
     */
    public function numbers(array $items): array;
}
