<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Form;

/** What is written into a control from the record. */
final readonly class Filling
{
    /**
     * @param  string  $value  as the record keeps it: what is chosen in a list
     * @param  array<string, string>  $options  what may be chosen where the template offers nothing by itself: value => text
     * @param  ?string  $text  as people read it; the value when there is no other
     */
    public function __construct(public string $value, public array $options = [], public ?string $text = null) {}
}
