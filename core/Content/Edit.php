<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/**
 * One thing that an order does to one part of a subject. Each kind is a class of its own, and the content it belongs to says by which
 * name it is kept.
 *
 * Fields are kept as people typed them; they are read when the edit is made.
 */
interface Edit
{
    /** The name under which it is kept. */
    public function name(): string;

    /** The version in which it is kept; what was kept in an earlier one is still read. */
    public function version(): int;

    /** What it is an edit of, by a key that survives revisions; empty while a new part has none. */
    public function part(): string;

    /** @return array<string, string> what is set, by field; empty for a removal */
    public function fields(): array;

    /** The same of the part as it is called elsewhere. */
    public function of(string $part): self;

    /**
     * @param  list<string>  $fields
     * @return ?self the same but for some fields; null: nothing is left of it, or it is all or nothing
     */
    public function without(array $fields): ?self;

    /** @return list<string> the fields of which only one edit can have its way */
    public function touches(): array;

    /** @return list<string> the fields that both touch; empty where both can be kept */
    public function conflictsWith(self $other): array;

    /** What it does, as a part of a sentence: "quantity of a line to 3". */
    public function inWords(): string;
}
