<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/** An engineering line, and how manufacturing accounts for it. */
final readonly class Accounted
{
    /**
     * @param  list<Share>  $shares  what of manufacturing stands for it
     * @param  ?OnRecord  $record  what is on record about it
     * @param  Exact  $wanted  of it, or of what is in its place
     * @param  Exact  $rest  of that, what is not taken over; below zero: what is too much
     * @param  Unit  $unit  of both
     * @param  ?string  $why  what is wrong with it besides the quantity, in words
     */
    public function __construct(
        public Line $line,
        public Account $account,
        public array $shares,
        public ?OnRecord $record,
        public Exact $wanted,
        public Exact $rest,
        public Unit $unit,
        public ?string $why,
    ) {}
}
