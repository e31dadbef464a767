<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Content\Edit;

/** How an engineering line would be taken over, and what says so. */
final readonly class Suggestion
{
    /**
     * @param  string  $of  the number of the sibling, or the name of the category
     * @param  non-empty-list<Edit>  $edits  of what the plant builds
     */
    public function __construct(public SuggestedBy $by, public string $of, public array $edits) {}
}
