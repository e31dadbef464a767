<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\ItemData\ItemField;
use Orthotaxis\Core\Refusal;

/**
 * What another system gets of a hand-over, and as what.
 *
 * The line control at Weir builds by what is built at Weir, and reads CSV: entries of manufacturing structures at Weir, with operation,
 * component and quantity. What engineering releases is of no single plant and goes to every profile that takes engineering; the minimum lot
 * at Tarn does not go to Weir. Where nothing of a hand-over is for it, nothing is written: an empty file says nothing to anybody.
 */
final readonly class Profile
{
    /** Kinds of structures that it may take. */
    public const STRUCTURES = [Subject::ENGINEERING, Subject::MANUFACTURING, Subject::ITEM_DATA, Subject::DOCUMENT];

    /**
     * @param  list<string>  $structures
     * @param  list<string>  $plants  none: of all
     * @param  list<string>  $fields  of Document::FIELDS, besides those that say what an entry is about
     */
    private function __construct(
        public array $structures,
        public array $plants,
        public array $fields,
        public Format $format,
        public FileName $name,
    ) {}

    /**
     * @param  list<string>  $structures
     * @param  list<string>  $plants  none: of all
     * @param  list<string>  $fields  none: all of them
     *
     * @throws Refusal at each of "structures", "fields" and "file_name" that cannot be so
     */
    public static function of(array $structures, array $plants, array $fields, Format $format, string $name): self
    {
        $reasons = [];
        $strange = array_diff($structures, self::STRUCTURES);
        if ($structures === [] || $strange !== []) {
            $reasons['structures'] = $structures === [] ? 'Choose what it gets.' : 'There is no structure ' . current($strange) . '.';
        }
        $unknown = array_diff($fields, Document::FIELDS);
        if ($unknown !== []) {
            $reasons['fields'] = 'There is no field ' . current($unknown) . '.';
        }
        try {
            $called = FileName::of($name);
        } catch (Refusal $refusal) {
            throw Refusal::because($reasons + $refusal->reasons);
        }

        return $reasons !== []
            ? throw Refusal::because($reasons)
            : new self(
                structures: array_values(array_intersect(self::STRUCTURES, $structures)),
                plants: array_values(array_unique($plants)),
                fields: $fields === [] ? Document::FIELDS : array_values(array_intersect(Document::FIELDS, $fields)),
                format: $format,
                name: $called,
            );
    }

    /** What it gets of a hand-over; null: nothing of it is for it. */
    public function select(Document $document): ?Document
    {
        $entries = array_values(
            array_filter(
                $document->entries,
                fn(Entry $entry): bool => in_array($entry->subject->kind, $this->structures, true) &&
                    $this->isForPlant(self::plantOf($entry)),
            ),
        );

        return $entries === [] ? null : $document->only($entries, $this->fields);
    }

    /** @param  string  $place  a plant, or a place in one: "Weir", "Weir shelf 4" */
    private function isForPlant(string $place): bool
    {
        return $place === '' ||
            $this->plants === [] ||
            array_filter($this->plants, static fn(string $plant): bool => str_starts_with("{$place} ", "{$plant} ")) !== [];
    }

    /** The plant that an entry is of, or a place in it; empty: of none, or all. */
    private static function plantOf(Entry $entry): string
    {
        $field = $entry->fields['field'] ?? null;

        return match ($entry->subject->kind) {
            Subject::DOCUMENT => (string) ($entry->fields['place'] ?? ''),
            Subject::ITEM_DATA => $field !== null && ItemField::from((string) $field)->isOfPlant()
                ? (string) ($entry->fields['of'] ?? '')
                : '',
            default => $entry->subject->plant,
        };
    }
}
