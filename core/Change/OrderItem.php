<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\Structure\Structure;

/** One item on an order, with what is needed to judge it. */
final readonly class OrderItem
{
    /**
     * @param  Base  $base  of its revision, whether it gets a new one or stays as it is
     * @param  list<Work>  $works  what the order changes of it; none before it is opened for work
     * @param  list<string>  $files  what was brought for the coming revision: role, name and SHA-256 of each file
     * @param  array<string, string>  $done  what was done, as its sheets tell it, by language
     */
    public function __construct(
        public string $number,
        public Outcome $outcome,
        public ?Disposition $disposition,
        public Base $base,
        public array $works = [],
        public array $files = [],
        public array $done = [],
    ) {}

    /** @param  array<self>  $items */
    public static function numbers(array $items): string
    {
        return implode(', ', array_map(static fn(self $item): string => $item->number, $items));
    }

    /** The code of the coming revision; null when the item stays as it is. */
    public function becomes(): ?string
    {
        return $this->outcome === Outcome::Revise ? $this->base->becomes() : null;
    }

    /** Nothing of it exists yet: there is nothing to supersede and no stock to decide on. */
    public function isFirstRelease(): bool
    {
        return $this->outcome === Outcome::Revise && $this->base->revision === null;
    }

    /** Whether there can be any of it: what was never released was never bought or built. */
    public function mayExist(): bool
    {
        return $this->base->revision !== null || $this->base->newest !== null;
    }

    /**
     * Whether somebody has to say what happens to what exists of it: it stays what it is where only the building of it changes, or what
     * is known of it; but not where it is retired.
     */
    public function needsDisposition(): bool
    {
        return match ($this->outcome) {
            Outcome::Build, Outcome::Data => $this->isRetiring(),
            Outcome::Revise, Outcome::Keep => true,
        } && $this->mayExist();
    }

    /** Whether it is not used or made any more from the effective day on. */
    public function isRetiring(): bool
    {
        foreach ($this->works as $work) {
            if ($work->after instanceof ItemData && $work->after->isRetired() && count($work->changes()) > 0) {
                return true;
            }
        }

        return false;
    }

    /** A first release may be of a part that has no lines. */
    public function isEdited(): bool
    {
        return $this->isFirstRelease() ||
            $this->files !== [] ||
            array_filter($this->works, static fn(Work $work): bool => count($work->changes()) > 0) !== [];
    }

    /** The lines that engineering declares of it, as they are. */
    public function before(): Structure
    {
        return self::lines($this->engineering()?->before);
    }

    /** The same as they will be. */
    public function after(): Structure
    {
        return self::lines($this->engineering()?->after);
    }

    public function comparison(): Comparison
    {
        $changes = $this->engineering()?->changes();

        return $changes instanceof Comparison ? $changes : Comparison::of(new Structure(), new Structure());
    }

    private function engineering(): ?Work
    {
        foreach ($this->works as $work) {
            if ($work->subject->isEngineering()) {
                return $work;
            }
        }

        return null;
    }

    private static function lines(mixed $content): Structure
    {
        return $content instanceof EngineeringContent ? $content->structure : new Structure();
    }
}
