<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Replacement;

/**
 * Keys of the lines that come beside or after a line, the same however often they are asked for: what a plant builds takes over the
 * line that engineering gets in the same act.
 */
final class Heirs
{
    /** @var array<string, array<int, string>> by line and place */
    private array $keys = [];

    /** @param  \Closure(): string  $new  a key that nothing has yet */
    public function __construct(private readonly \Closure $new) {}

    /** The key of the line that comes for another; place 0 is the one that takes its place, the others come beside it. */
    public function of(string $line, int $place): string
    {
        return $this->keys[$line][$place] ??= ($this->new)();
    }

    public function known(string $line, int $place): ?string
    {
        return $this->keys[$line][$place] ?? null;
    }
}
