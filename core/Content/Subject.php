<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** One thing that an order changes: the content of one kind of an item, at a plant where each plant has its own. */
final readonly class Subject
{
    /** What engineering declares of an item: its revision in the narrow sense. */
    public const ENGINEERING = 'engineering';

    /** What a plant builds of an item. */
    public const MANUFACTURING = 'manufacturing';

    /** What is known of an item besides what it is made of. */
    public const ITEM_DATA = 'item_data';

    /** No content: stock or an open document in planning that names an item. */
    public const DOCUMENT = 'document';

    /** @param  string  $kind  by the name under which its content is kept */
    public function __construct(public string $kind, public string $item, public string $plant = '') {}

    public function isEngineering(): bool
    {
        return $this->kind === self::ENGINEERING;
    }

    /** As it is called in a sentence: "200-0010" of what engineering declares, else "200-0010, manufacturing at Weir". */
    public function __toString(): string
    {
        return $this->isEngineering()
            ? $this->item
            : "{$this->item}, " . str_replace('_', ' ', $this->kind) . ($this->plant === '' ? '' : " at {$this->plant}");
    }
}
