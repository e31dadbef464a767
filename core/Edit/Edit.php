<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Edit;

use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/**
 * One thing that an order does to one line. Each kind is a class of its own, and EditOperation says by which name it is kept.
 *
 * Fields are kept as people typed them; they are read when the edit is made.
 */
interface Edit
{
    public function operation(): EditOperation;

    /** The key of its line; empty while a new line has none. */
    public function line(): string;

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
