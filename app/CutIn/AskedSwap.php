<?php

declare(strict_types=1);

namespace App\CutIn;

/** What goes and what comes, as somebody asks it, by ids of items. */
final readonly class AskedSwap
{
    /**
     * @param  list<int>  $gone
     * @param  array<int, int>  $come  id => millionths for one of the first that goes; where nothing goes, in one parent
     * @param  ?list<int>  $parents  null: all that have any of what goes
     */
    public function __construct(public array $gone, public array $come, public ?array $parents) {}

    /** @return list<int> all that go or come */
    public function parts(): array
    {
        return [...$this->gone, ...array_keys($this->come)];
    }
}
