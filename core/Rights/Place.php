<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Rights;

/** What a change, or an item, concerns: plants by their code, categories with all that they are below. Empty: nobody has said yet. */
final readonly class Place
{
    /**
     * @param  list<string>  $plants
     * @param  list<string>  $categories
     */
    public function __construct(public array $plants = [], public array $categories = []) {}
}
