<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Quantity\Quantity;

/** A line somewhere below the top of a tree. */
final readonly class TreeRow
{
    /**
     * @param  string  $parent  item number, or what Line::below says of it
     * @param  list<string>  $path  line keys from the top to this line
     * @param  Quantity  $extended  how much of the component goes into the top over this path, in the unit of the line
     */
    public function __construct(public string $parent, public array $path, public Line $line, public Quantity $extended) {}

    /** 1 for the lines of the top itself. */
    public function level(): int
    {
        return count($this->path);
    }
}
