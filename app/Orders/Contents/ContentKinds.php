<?php

declare(strict_types=1);

namespace App\Orders\Contents;

/** The kinds of content that orders change. */
final class ContentKinds
{
    /** @var array<string, ContentKind> by name */
    private array $kinds = [];

    public function add(ContentKind $kind): void
    {
        $this->kinds[$kind->name()] = $kind;
    }

    public function of(string $name): ContentKind
    {
        return $this->kinds[$name] ?? throw new \LogicException("No kind of content is called {$name}.");
    }
}
