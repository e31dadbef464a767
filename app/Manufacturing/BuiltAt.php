<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Content;
use App\Structures\Models\Item;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Structure\Structure;

/** What a plant builds of an item, and what engineering declares of it, both as they hold on a day or as an order would make them. */
final readonly class BuiltAt
{
    /**
     * @param  ?Content  $released  what is in force at the plant; null: nothing was ever released there
     * @param  list<string>  $edits  what an order does to it, in words
     * @param  ?string  $becomes  the revision that the order gives it; null: it stays as it is
     */
    public function __construct(
        public Item $item,
        public string $plant,
        public Structure $engineering,
        public ManufacturingContent $content,
        public ?Content $released,
        public array $edits = [],
        public ?string $becomes = null,
    ) {}
}
