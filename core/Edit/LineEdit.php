<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/** An edit of one line of a structure, by the key of the line. EditOperation says by which name each kind is kept. */
interface LineEdit extends Edit
{
    public function operation(): EditOperation;

    /** @return array<value-of<LineField>, string> what is set, by field; empty for a removal */
    public function fields(): array;

    /** The same of the line as it is called elsewhere. */
    public function of(string $line): self;

    /**
     * @param  ?Line  $line  as it is; null when it is not there
     * @return ?Line as it reads afterwards; null when it is gone
     *
     * @throws Refusal when the edit does not fit
     */
    public function apply(?Line $line): ?Line;

    /** @return list<value-of<LineField>> the fields of which only one edit can have its way */
    public function touches(): array;
}
