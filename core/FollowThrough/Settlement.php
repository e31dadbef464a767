<?php

declare(strict_types=1);

namespace Orthotaxis\Core\FollowThrough;

use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Handover\Entry;
use Orthotaxis\Core\Handover\EntryAction;
use Orthotaxis\Core\Impact\Supply;

/**
 * What planning has to do about a document that names what an order replaced, as an entry of a hand-over.
 *
 * As a planner reads it, ECO-00082 takes the bracket from 200-0051 to 200-0052: "change over" makes the purchase order name 200-0052;
 * "cancel", "return" and "scrap" end it; "rework" makes the lot be of the coming revision once it is done. What runs out, or is accepted
 * as it is, stays as it is: planning has nothing to do, and is not told.
 */
final readonly class Settlement
{
    /** Whether planning has to do something. */
    public static function isTold(Way $way): bool
    {
        return match ($way) {
            Way::ChangeOver, Way::Rework, Way::Return, Way::Scrap, Way::Cancel => true,
            Way::RunOut, Way::Accept => false,
        };
    }

    /**
     * @param  string  $comes  the revision or the item that takes the place; empty: nothing does
     * @param  bool  $item  whether an item does
     * @param  ?string  $due  by when, YYYY-MM-DD
     */
    public static function entry(int $number, Supply $row, Way $way, string $comes, bool $item, ?string $due, string $note): Entry
    {
        // What ends becomes nothing else.
        $becomes = $way === Way::ChangeOver || $way === Way::Rework ? $comes : null;

        return new Entry($number, EntryAction::Settle, new Subject(Subject::DOCUMENT, $row->item), $row->revision, [
            'document' => $row->document,
            'documentKind' => $row->kind->value,
            'place' => $row->place,
            'serial' => $row->serial,
            'quantity' => (string) $row->quantity,
            'unit' => $row->unit->value,
            'way' => $way->value,
            'toRevision' => $item ? null : $becomes,
            'toItem' => $item ? $becomes : null,
            'due' => $due,
            'notes' => $note,
        ]);
    }
}
