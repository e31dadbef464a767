<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Verification;

use Orthotaxis\Core\Content\PartAction;
use Orthotaxis\Core\Handover\Entry;
use Orthotaxis\Core\Handover\EntryAction;

/** A row in which planning's copy says something else than what holds here; null: the row is not there. */
final readonly class CopyDifference
{
    public function __construct(public ?CopyRow $ours, public ?CopyRow $theirs) {}

    /** @return ?self null: both say the same, however it is written */
    public static function between(?CopyRow $ours, ?CopyRow $theirs): ?self
    {
        $one = new self($ours, $theirs);

        return $ours !== null && $theirs !== null && $one->fields() === [] ? null : $one;
    }

    /** The row it is of: as it is here, or there where it is only there. */
    public function row(): CopyRow
    {
        return $this->ours ?? ($this->theirs ?? throw new \LogicException('A difference is of a row.'));
    }

    /** What planning has to do to say the same. */
    public function mark(): PartAction
    {
        return match (true) {
            $this->theirs === null => PartAction::Add,
            $this->ours === null => PartAction::Remove,
            $this->ours->part === 'line' && $this->ours->component !== $this->theirs->component => PartAction::Replace,
            default => PartAction::Change,
        };
    }

    /** @return array<string, array{string, string}> what it says there and here, by field; only what differs */
    public function fields(): array
    {
        [$there, $here] = [self::all($this->theirs), self::all($this->ours)];
        $fields = [];
        foreach ($there + $here as $name => $_) {
            $both = [$there[$name] ?? '', $here[$name] ?? ''];
            if ($both[0] !== $both[1]) {
                $fields[$name] = $both;
            }
        }

        return $fields;
    }

    /**
     * As entries of a hand-over that make planning's copy say what holds here.
     *
     * @param  list<self>  $differences
     * @return list<Entry> numbered from 1
     */
    public static function corrections(array $differences): array
    {
        $entries = [];
        foreach ($differences as $difference) {
            array_push($entries, ...$difference->correction(count($entries) + 1));
        }

        return $entries;
    }

    /**
     * @param  int  $first  number of the first
     * @return list<Entry>
     */
    private function correction(int $first): array
    {
        // A line that begins on another day is another row over there.
        $moved = $this->ours !== null && $this->theirs !== null && $this->ours->key !== $this->theirs->key;
        $gone = $this->theirs !== null && ($moved || $this->ours === null) ? [$this->theirs->entry($first, EntryAction::Remove)] : [];
        if ($this->ours === null) {
            return $gone;
        }
        $action = match (true) {
            $this->ours->part === '' => EntryAction::Supersede,
            default => EntryAction::for($this->mark()),
        };

        return [...$gone, $this->ours->entry($first + count($gone), $action, $moved ? $this->theirs : null)];
    }

    /** @return array<string, string> */
    private static function all(?CopyRow $row): array
    {
        return $row === null
            ? []
            : array_filter(
                ['component' => $row->component, 'firstDay' => $row->firstDay] + $row->says,
                static fn(string $text): bool => $text !== '',
            );
    }
}
