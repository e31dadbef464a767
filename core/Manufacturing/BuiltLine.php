<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Structure\Line;

/** A line of what a plant builds: so much of a component, consumed at an operation. */
final readonly class BuiltLine
{
    /**
     * @param  string  $takesOver  the key of the engineering line that it takes over, or a part of it; empty where it says none
     * @param  int  $scrap  millionths of what goes in that are lost there, on top of the quantity of the line
     */
    public function __construct(public Line $line, public string $takesOver = '', public int $scrap = 0) {}
}
