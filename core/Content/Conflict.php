<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** Two who worked on one subject did different things to the same of it. */
final readonly class Conflict
{
    /**
     * @param  string  $part  by its key
     * @param  string  $field  of the part; empty: all of it, as where one took out what the other changed
     * @param  string  $called  the part, as people call it
     * @param  string  $before  as it read before both; of a whole part empty
     * @param  string  $mine  as it reads now, or what I did
     * @param  string  $theirs  as it reads there, or what they did
     */
    public function __construct(
        public string $part,
        public string $field,
        public string $called,
        public string $before,
        public string $mine,
        public string $theirs,
    ) {}

    public function key(): string
    {
        return $this->field === '' ? $this->part : "{$this->part}.{$this->field}";
    }
}
