<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Subject;

/** One subject of a release: its new revision, the one it supersedes if it is not the first, and what holds from the effective date on. */
final readonly class ContentRelease
{
    /** @param  Content  $before  what it supersedes, empty where it is the first */
    public function __construct(
        public Subject $subject,
        public ?string $supersedes,
        public string $revision,
        public Content $content,
        public Content $before,
    ) {}
}
