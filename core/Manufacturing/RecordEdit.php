<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Content\Edit;

/** An edit of what is on record about one engineering line, by the key of that line. */
abstract readonly class RecordEdit implements Edit
{
    public const VERSION = 1;

    /** @param  array<string, string>  $fields */
    public function __construct(protected string $line, protected array $fields = []) {}

    public function version(): int
    {
        return self::VERSION;
    }

    public function part(): string
    {
        return $this->line;
    }

    public function fields(): array
    {
        return $this->fields;
    }

    public function touches(): array
    {
        return ['record'];
    }

    /** Of two that say something about one line, only one has its way. */
    public function conflictsWith(Edit $other): array
    {
        return $other instanceof self && $other->part() === $this->line ? $this->touches() : [];
    }

    /** @return ?OnRecord as it is afterwards; null: nothing is on record */
    abstract public function apply(?OnRecord $record): ?OnRecord;
}
