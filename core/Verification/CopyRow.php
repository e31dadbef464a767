<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Verification;

use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Handover\Entry;
use Orthotaxis\Core\Handover\EntryAction;
use Orthotaxis\Core\ItemData\DataField;
use Orthotaxis\Core\Refusal;

/**
 * One row of a copy of what holds: that there is a revision of a subject, or one line, operation or field of it. Written as text it has
 * its key, eight columns with a tab after each, and then what it says as a JSON object of texts, by the names that hand-overs have.
 */
final readonly class CopyRow
{
    /** Columns of the key. */
    private const COLUMNS = 8;

    /**
     * @param  string  $key  sorts copies, byte by byte
     * @param  string  $part  line, operation or field; empty: the revision itself
     * @param  string  $place  find number, number of the operation, or key of the field
     * @param  string  $component  of a line
     * @param  string  $firstDay  of a line, YYYY-MM-DD; empty: from the beginning
     * @param  array<string, string>  $says
     */
    private function __construct(
        public string $key,
        public Subject $subject,
        public string $revision,
        public string $part,
        public string $place,
        public string $component,
        public string $firstDay,
        public array $says,
    ) {}

    /** @throws Refusal when it is none */
    public static function read(string $text): self
    {
        $columns = explode("\t", $text);
        $says = count($columns) === self::COLUMNS + 1 ? json_decode($columns[self::COLUMNS], true) : null;
        if (!is_array($says) || array_filter($says, is_string(...)) !== $says) {
            throw Refusal::at('row', 'A row of the copy cannot be read.');
        }
        /** @var array<string, string> $says */
        [$structure, $plant, $item, $revision, $part, $place, $component, $firstDay] = $columns;
        if (
            !in_array($structure, [Subject::ENGINEERING, Subject::MANUFACTURING, Subject::ITEM_DATA], true) ||
            !in_array($part, ['', 'line', 'operation', 'field'], true)
        ) {
            throw Refusal::at('row', 'A row of the copy is of no kind that is agreed.');
        }
        if ($part === 'field') {
            // Whatever is not a field of an item is none that can be compared.
            DataField::of($place);
        }

        return new self(
            key: self::keyOf($text),
            subject: new Subject($structure, $item, $plant),
            revision: $revision,
            part: $part,
            place: $place,
            component: $component,
            firstDay: $firstDay,
            says: array_map(self::plain(...), $says),
        );
    }

    /** The key with the tab after it, of a row as it is written. */
    public static function keyOf(string $text): string
    {
        $at = strrpos($text, "\t");

        return $at === false ? $text : substr($text, 0, $at + 1);
    }

    /** As read() reads it. */
    public function text(): string
    {
        return $this->key . json_encode((object) $this->says, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** "Line 10 200-0041", "Operation 20", "Standard cost"; of the revision itself: "Revision". */
    public function label(): string
    {
        return match ($this->part) {
            'line' => "Line {$this->place} {$this->component}",
            'operation' => "Operation {$this->place}",
            'field' => DataField::of($this->place)->label(),
            default => 'Revision',
        };
    }

    /** Where two of a line stand for each other: the same find number of the same revision. */
    public function standsAt(): string
    {
        return "{$this->subject}\t{$this->revision}\t{$this->place}";
    }

    /** As an entry of a hand-over that makes planning's copy say the same, or have it no more. */
    public function entry(int $number, EntryAction $action, ?self $replaces = null): Entry
    {
        $own = match ($this->part) {
            'line' => [
                'find' => (int) $this->place,
                'component' => $this->component,
                'firstDay' => $this->firstDay,
                'replaces' => $replaces?->component,
            ],
            'operation' => ['operation' => (int) $this->place],
            'field' => ['field' => DataField::of($this->place)->field->value, 'of' => DataField::of($this->place)->of],
            default => [],
        };

        return new Entry($number, $action, $this->subject, $this->revision, $own + $this->says);
    }

    /** Numbers say the same with or without zeros at their end. */
    private static function plain(string $text): string
    {
        return preg_match('/^-?\d+\.\d+$/D', $text) === 1 ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
