<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Release\ReleasePlan;

/** A release as it is sent to planning, or a correction of what planning has. */
final class Document
{
    /** Stands where the number of the order does. */
    public const CORRECTION = 'correction';

    /** What an entry may say besides what it is about, in the order it is written. */
    public const FIELDS = [
        ...['supersedes', 'disposition', 'batch'],
        ...[
            'find',
            'component',
            'componentRevision',
            'replaces',
            'quantity',
            'unit',
            'designators',
            'notes',
            'phantom',
            'byProduct',
            'firstDay',
            'lastDay',
        ],
        ...['operation', 'scrap', 'operationTitle', 'workCentre', 'setUp', 'run', 'runPer', 'supplier', 'cost', 'leadTime'],
        ...['instruction', 'tools', 'inspection', 'specification'],
        ...['title', 'itemUnit', 'supply', 'itemLeadTime', 'standardCost'],
        ...['field', 'of', 'value'],
        ...['document', 'documentKind', 'place', 'serial', 'way', 'toRevision', 'toItem', 'due'],
    ];

    /** @var list<array<string, string|int|null>>|null every format writes the same: they are made once */
    private ?array $records = null;

    /**
     * @param  string  $written  the moment it was written, ISO 8601 in UTC
     * @param  list<Entry>  $entries
     * @param  list<string>  $fields  of FIELDS: those that its entries say; whoever gets only some has a column for no other
     */
    private function __construct(
        public readonly string $order,
        public readonly string $title,
        public readonly int $number,
        public readonly string $written,
        public readonly string $effectiveFrom,
        public readonly array $entries,
        public readonly array $fields = self::FIELDS,
    ) {}

    /**
     * A hand-over as it was written once, from what is kept of it.
     *
     * @param  list<array<string, string|int|null>>  $records  as records() gives them
     */
    public static function kept(string $order, string $title, int $number, string $written, string $effectiveFrom, array $records): self
    {
        $entries = [];
        foreach ($records as $record) {
            $entries[] = new Entry(
                number: (int) $record['entry'],
                action: EntryAction::from((string) $record['action']),
                subject: new Subject((string) $record['structure'], (string) $record['item'], (string) $record['plant']),
                revision: (string) $record['revision'],
                fields: array_filter(
                    array_intersect_key($record, array_flip(self::FIELDS)),
                    static fn(mixed $value): bool => $value !== null,
                ),
            );
        }

        return new self(order: $order, title: $title, number: $number, written: $written, effectiveFrom: $effectiveFrom, entries: $entries);
    }

    /**
     * The same with some of its entries and fields; entries keep their numbers, so that all who get some of it mean the same by them.
     *
     * @param  list<Entry>  $entries
     * @param  list<string>  $fields
     */
    public function only(array $entries, array $fields): self
    {
        return new self(
            order: $this->order,
            title: $this->title,
            number: $this->number,
            written: $this->written,
            effectiveFrom: $this->effectiveFrom,
            entries: $entries,
            fields: array_values(array_intersect($this->fields, $fields)),
        );
    }

    /**
     * @param  int  $number  the running number of hand-overs, never used twice
     * @param  array<string, IntroducedItem>  $introduced  what planning has to know of items that are released for the first time, by
     *     number
     */
    public static function of(ReleasePlan $plan, string $title, int $number, string $written, array $introduced = []): self
    {
        $dispositions = [];
        foreach ($plan->items as $item) {
            $dispositions[$item->number] = $item->disposition?->value;
        }
        $entries = [];
        foreach ($plan->contents as $one) {
            $first = $one->supersedes === null;
            $parts = $one->content->handedOver($one->before);
            $head = ['supersedes' => $one->supersedes];
            if ($one->subject->isEngineering()) {
                $head['disposition'] = $dispositions[$one->subject->item] ?? null;
                $head += $first ? ($introduced[$one->subject->item] ?? null)?->fields() ?? [] : [];
            }
            foreach ($parts as $part) {
                $head += $part->action === null ? $part->fields : [];
            }
            $action = $first ? EntryAction::Introduce : EntryAction::Supersede;
            $entries[] = new Entry(count($entries) + 1, $action, $one->subject, $one->revision, $head);
            foreach ($parts as $part) {
                if ($part->action !== null) {
                    $action = EntryAction::for($part->action);
                    $entries[] = new Entry(count($entries) + 1, $action, $one->subject, $one->revision, $part->fields);
                }
            }
        }

        return new self(
            order: $plan->order,
            title: $title,
            number: $number,
            written: $written,
            effectiveFrom: (string) $plan->effectiveFrom,
            entries: $entries,
        );
    }

    /**
     * What brings planning's copy back to what holds here.
     *
     * @param  int  $number  the running number of hand-overs, never used twice
     * @param  string  $day  the first day on which the revisions hold, YYYY-MM-DD
     * @param  list<Entry>  $entries
     */
    public static function correction(int $number, string $written, string $day, string $title, array $entries): self
    {
        return new self(self::CORRECTION, $title, number: $number, written: $written, effectiveFrom: $day, entries: $entries);
    }

    /**
     * What is decided about documents that name what an order replaced.
     *
     * @param  int  $number  the running number of hand-overs, never used twice
     * @param  string  $day  of today, YYYY-MM-DD
     * @param  list<Entry>  $entries
     */
    public static function settlement(string $order, string $title, int $number, string $written, string $day, array $entries): self
    {
        return new self($order, $title, number: $number, written: $written, effectiveFrom: $day, entries: $entries);
    }

    /** The name of its files without ending: order, effective date and running number. */
    public function name(): string
    {
        return sprintf('%s_%s_%06d', $this->order, $this->effectiveFrom, $this->number);
    }

    /**
     * @return list<array<string, string|int|null>> one flat record an entry, the same in every format; what says nothing is null, never
     * an empty text
     */
    public function records(): array
    {
        return $this->records ??= $this->made();
    }

    /** @return list<array<string, string|int|null>> */
    private function made(): array
    {
        $nothing = array_fill_keys($this->fields, null);
        $records = [];
        foreach ($this->entries as $entry) {
            $record = [
                'entry' => $entry->number,
                'action' => $entry->action->value,
                'structure' => self::said($entry->subject->kind),
                'plant' => self::said($entry->subject->plant),
                'item' => self::said($entry->subject->item),
                'revision' => self::said($entry->revision),
                ...$nothing,
            ];
            foreach ($entry->fields as $name => $value) {
                if (array_key_exists($name, $nothing)) {
                    $record[$name] = self::said($value);
                }
            }
            $records[] = $record;
        }

        return $records;
    }

    private static function said(string|int|null $value): string|int|null
    {
        return $value === '' ? null : $value;
    }
}
