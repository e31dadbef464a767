<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/** What one line of manufacturing brings into the item, through all levels that only manufacturing has. */
final readonly class Part
{
    /**
     * @param  Line  $of  the line that names the component
     * @param  list<string>  $through  the items between, from the top: kits and other levels that only manufacturing has
     * @param  ?int  $operation  of the item at which it goes in, be it within a kit
     * @param  Exact  $quantity  net, for one of the item, in the unit of the line
     * @param  bool  $scrap  whether more goes in than stays in, on any level
     */
    public function __construct(
        public Line $of,
        public array $through,
        public ?int $operation,
        public Exact $quantity,
        public bool $scrap,
    ) {}

    public function component(): string
    {
        return $this->of->component;
    }

    public function unit(): Unit
    {
        return $this->of->unit;
    }
}
