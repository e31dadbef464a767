<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** A text that stands on a sheet. */
final readonly class SheetText
{
    /**
     * @param  float  $x  from the left, in units of the sheet
     * @param  float  $y  from above; of texts in one row the same, or nearly
     * @param  bool  $ringed  whether a circle is drawn around it, as around the find number of a balloon
     */
    public function __construct(public string $text, public float $x, public float $y, public int $page = 1, public bool $ringed = false) {}
}
