<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** One part of a content as planning is told of it: a line, an operation, or what holds for all of it. */
final readonly class HandedPart
{
    /**
     * @param  ?PartAction  $action  null: it is said of the revision itself
     * @param  array<string, string|int|null>  $fields  by the names that hand-overs have for them, in docs/formats.md
     */
    public function __construct(public ?PartAction $action, public array $fields) {}
}
