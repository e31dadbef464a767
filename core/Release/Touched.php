<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

/** What a change touches, as distribution lists ask for it. */
final readonly class Touched
{
    /**
     * @param  list<string>  $plants  codes
     * @param  list<string>  $products  numbers of what is sold and has one of its items in it, or is one
     * @param  list<string>  $categories  codes of those of its items, and of all above them
     */
    public function __construct(public array $plants, public array $products, public array $categories) {}
}
