<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;

/**
 * One line of a structure: so much of one component.
 *
 * Its key is the identity that survives revisions; the component is named by item number. Which revision of it goes in
 * follows from the day, unless the line names one.
 */
final readonly class Line
{
    public const LONGEST_NOTE = 500;

    public const LONGEST_DESIGNATORS = 2_000;

    /** Scrap is kept in so many parts of a million of what stays in; people say it in per cent. */
    public const SCRAP_PLACES = 4;

    /**
     * @param  int  $scrap  millionths of the quantity that are lost on top of it
     * @param  string  $takesOver  of manufacturing: the key of the engineering line it stands for, or for a part of; empty: it says none
     * @param  bool  $byProduct  of manufacturing: so much of it comes out with each one that is made, and nothing of it goes in
     */
    public function __construct(
        public string $key,
        public int $find,
        public string $component,
        public Quantity $quantity,
        public Unit $unit,
        public string $designators = '',
        public string $notes = '',
        public ?int $operation = null,
        public bool $notModelled = false,
        public Validity $validity = new Validity(),
        public bool $phantom = false,
        public ?string $revision = null,
        public int $scrap = 0,
        public string $takesOver = '',
        public bool $byProduct = false,
    ) {}

    /** What is below the line: the component as it is on the day, or one revision of it. */
    public function below(): string
    {
        return $this->revision === null ? $this->component : self::pinned($this->component, $this->revision);
    }

    /** The key under which the structure of one revision is found among those of the day. */
    public static function pinned(string $component, string $revision): string
    {
        return "{$component}\n{$revision}";
    }

    /** A field as text, as it is compared and shown. */
    public function text(LineField $field): string
    {
        return match ($field) {
            LineField::Find => (string) $this->find,
            LineField::Component => $this->component,
            LineField::Revision => $this->revision ?? '',
            LineField::Quantity => (string) $this->quantity,
            LineField::Unit => $this->unit->value,
            LineField::Designators => $this->designators,
            LineField::Notes => $this->notes,
            LineField::Operation => $this->operation === null ? '' : (string) $this->operation,
            LineField::Scrap => $this->scrap === 0 ? '' : FixedPoint::format($this->scrap, self::SCRAP_PLACES),
            LineField::TakesOver => $this->takesOver,
            LineField::NotModelled => $this->notModelled ? 'yes' : '',
            LineField::Phantom => $this->phantom ? 'yes' : '',
            LineField::ByProduct => $this->byProduct ? 'yes' : '',
            LineField::FirstDay => (string) $this->validity->from,
            LineField::LastDay => (string) $this->validity->lastDay(),
        };
    }

    /** @return array<value-of<LineField>, string> all of them */
    public function texts(): array
    {
        $texts = [];
        foreach (LineField::cases() as $field) {
            $texts[$field->value] = $this->text($field);
        }

        return $texts;
    }

    /**
     * Written out field by field: a comparison of two large structures asks this for every line that differs.
     *
     * @return list<LineField> the fields in which another line says something else, in the order of LineField
     */
    public function differsFrom(self $other): array
    {
        // Of an edited structure most lines are the very ones that were there.
        if ($this === $other) {
            return [];
        }
        $differs = [];
        if ($this->find !== $other->find) {
            $differs[] = LineField::Find;
        }
        if ($this->component !== $other->component) {
            $differs[] = LineField::Component;
        }
        if ($this->revision !== $other->revision) {
            $differs[] = LineField::Revision;
        }
        if ($this->quantity->millionths !== $other->quantity->millionths) {
            $differs[] = LineField::Quantity;
        }
        if ($this->unit !== $other->unit) {
            $differs[] = LineField::Unit;
        }
        if ($this->designators !== $other->designators) {
            $differs[] = LineField::Designators;
        }
        if ($this->notes !== $other->notes) {
            $differs[] = LineField::Notes;
        }
        if ($this->operation !== $other->operation) {
            $differs[] = LineField::Operation;
        }
        if ($this->scrap !== $other->scrap) {
            $differs[] = LineField::Scrap;
        }
        if ($this->takesOver !== $other->takesOver) {
            $differs[] = LineField::TakesOver;
        }
        if ($this->notModelled !== $other->notModelled) {
            $differs[] = LineField::NotModelled;
        }
        if ($this->phantom !== $other->phantom) {
            $differs[] = LineField::Phantom;
        }
        if ($this->byProduct !== $other->byProduct) {
            $differs[] = LineField::ByProduct;
        }
        if ($this->validity !== $other->validity) {
            if ($this->validity->from != $other->validity->from) {
                $differs[] = LineField::FirstDay;
            }
            if ($this->validity->to != $other->validity->to) {
                $differs[] = LineField::LastDay;
            }
        }

        return $differs;
    }

    /** As engineering sees it, who knows of no operations, no scrap, and of nobody who takes it over. */
    public function asEngineeringSees(): self
    {
        return $this->operation === null && $this->scrap === 0 && $this->takesOver === '' && !$this->byProduct
            ? $this
            : new self(
                key: $this->key,
                find: $this->find,
                component: $this->component,
                quantity: $this->quantity,
                unit: $this->unit,
                designators: $this->designators,
                notes: $this->notes,
                operation: null,
                notModelled: $this->notModelled,
                validity: $this->validity,
                phantom: $this->phantom,
                revision: $this->revision,
            );
    }

    /**
     * The same line with some fields given anew, as people type them.
     *
     * @param  array<value-of<LineField>, string>  $fields
     *
     * @throws Refusal naming every field that cannot be so
     */
    public function with(array $fields): self
    {
        return (new LineReader())->read($this->key, $fields, $this);
    }
}
