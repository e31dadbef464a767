<?php

declare(strict_types=1);

/** @param  non-empty-list<float>  $of */
function median(array $of): float
{
    sort($of);

    return $of[intdiv(count($of), 2)];
}
