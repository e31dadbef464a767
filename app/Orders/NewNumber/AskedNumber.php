<?php

declare(strict_types=1);

namespace App\Orders\NewNumber;

/** What goes along to a new number. */
final readonly class AskedNumber
{
    /**
     * @param  string  $title  of the new item
     * @param  bool  $interchangeable  either can be used where the other is called for
     * @param  bool  $data  what is known of the item: cost, lead time, supplier, mass, material; its attributes always go along
     * @param  array<string, bool>  $documents  by number: whether it is copied to a new number too; otherwise it describes both
     */
    public function __construct(
        public string $title,
        public bool $interchangeable,
        public bool $lines,
        public bool $data,
        public array $documents,
    ) {}
}
