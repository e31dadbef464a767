<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** A structure while edits are made to it, one after another. Its lines are put in order once, when it is done. */
final class Draft
{
    /** @var array<string, Line> by key */
    private array $lines;

    public function __construct(Structure $base)
    {
        $this->lines = $base->lines;
    }

    public function line(string $key): ?Line
    {
        return $this->lines[$key] ?? null;
    }

    /**
     * @return ?Line as it reads afterwards; null when it was removed
     *
     * @throws Refusal when the edit does not fit; nothing is changed then
     */
    public function make(LineEdit $edit): ?Line
    {
        $after = $edit->apply($this->line($edit->part()));
        if ($after === null) {
            unset($this->lines[$edit->part()]);

            return null;
        }

        return $this->lines[$edit->part()] = $after;
    }

    public function structure(): Structure
    {
        return new Structure($this->lines);
    }
}
