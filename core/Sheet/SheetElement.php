<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** Something that is drawn on a sheet: a line, a circle, a text. */
final readonly class SheetElement
{
    /**
     * @param  string  $is  all that makes it what it is, its place included: two with the same are the same
     * @param  non-empty-list<Box>  $boxes  where it is: of an outline each of its strokes, so that what it encloses is not in it
     * @param  string  $text  empty where it is none
     */
    public function __construct(public string $is, public array $boxes, public string $text = '') {}

    public function box(): Box
    {
        return array_reduce($this->boxes, static fn(Box $all, Box $one): Box => $all->with($one), $this->boxes[0]);
    }
}
