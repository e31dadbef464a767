<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Belonging;

/** That a document describes an item. Both are named by their numbers. */
final readonly class DescribedBy
{
    /**
     * @param  ?string  $shows  the revision of the item that it shows; null: it names none
     * @param  bool  $adopts  whether it is to show the coming revision from the release of the order on
     */
    public function __construct(public string $item, public string $document, public ?string $shows, public bool $adopts = false) {}
}
