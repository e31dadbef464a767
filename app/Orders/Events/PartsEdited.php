<?php

declare(strict_types=1);

namespace App\Orders\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;

/**
 * Many parts of a subject were edited at once. What they are stands with the order and is never deleted; their hash shows that it
 * stayed as it was.
 */
final readonly class PartsEdited extends Deed
{
    /**
     * @param  list<Edit>  $edits
     * @param  int  $first  the number of the first of them
     */
    public function __construct(string $by, string $of, public Subject $subject, public array $edits, public int $first)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return self::area($this->subject) . '.edited_together';
    }

    public function details(): array
    {
        $said = array_map(static fn(Edit $edit): array => [$edit->name(), $edit->part(), (object) $edit->fields()], $this->edits);

        return self::where($this->subject) + [
            'edits' => count($this->edits),
            'first' => $this->first,
            'last' => $this->first + count($this->edits) - 1,
            'sha256' => hash('sha256', json_encode($said, JSON_THROW_ON_ERROR)),
        ];
    }

    /** What engineering declares of an item has always been called its structure. */
    public static function area(Subject $subject): string
    {
        return $subject->isEngineering() ? 'structure' : $subject->kind;
    }

    /** @return array<string, string> */
    public static function where(Subject $subject): array
    {
        return ['item' => $subject->item] + ($subject->plant === '' ? [] : ['plant' => $subject->plant]);
    }
}
