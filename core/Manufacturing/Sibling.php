<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Structure\LineField;

/**
 * Another item that a plant builds, as an example of how it takes a component over.
 *
 * The pump head has four screws, two at operation 10 and two at 30. Another head with four of the same screws takes them over so; one with
 * eight is not told how: nobody said where the other four go. Of one with eight at a single operation, all eight go there. What the
 * example leaves out or replaces on record is left out or replaced likewise.
 */
final readonly class Sibling
{
    /** @var array<string, non-empty-list<Accounted>> by component: what it accounts for */
    private array $accounted;

    /** @param  string  $number  of the item */
    public function __construct(public string $number, Accountability $of, private Routing $routing)
    {
        $accounted = [];
        foreach ($of->lines as $line) {
            if ($line->account !== Account::Open) {
                $accounted[$line->line->component][] = $line;
            }
        }
        $this->accounted = $accounted;
    }

    /**
     * @param  Accounted  $line  of the other item, of which nothing is taken over
     * @param  Routing  $routing  of the other item
     * @return ?Example null: it says nothing of such a line
     */
    public function example(Accounted $line, Routing $routing): ?Example
    {
        $like = $this->like($line);
        if ($like === null) {
            return null;
        }
        $record = $like->record;
        $same = $like->line->unit === $line->line->unit && $like->line->quantity->millionths === $line->line->quantity->millionths;
        if (($record !== null && $record->by !== null && !$same) || (!$same && count($like->shares) > 1)) {
            return null;
        }
        $parts = [];
        foreach ($like->shares as $share) {
            $operation = $this->operation($share->part->operation, $routing);
            // What comes in a kit comes in a kit of that item.
            if ($share->part->through !== [] || $operation === null) {
                return null;
            }
            $parts[] = [
                'component' => $share->part->component(),
                'quantity' => (string) ($same
                    ? $share->quantity
                    : Exact::of($line->line->quantity)->in($line->line->unit, $share->part->unit())),
                'unit' => $share->part->unit()->value,
                'operation' => $operation,
                'scrap' => $share->part->of->text(LineField::Scrap),
            ];
        }

        return new Example($record, $parts);
    }

    private function like(Accounted $line): ?Accounted
    {
        $likes = $this->accounted[$line->line->component] ?? [];
        foreach ($likes as $like) {
            if ($like->line->find === $line->line->find) {
                return $like;
            }
        }

        return $likes[0] ?? null;
    }

    /** @return ?string its number where the same is done, or else where the same number is; empty: none; null: there is none like it */
    private function operation(?int $number, Routing $routing): ?string
    {
        if ($number === null || count($routing) === 0) {
            return (string) $number;
        }
        $done = $this->routing->numbered($number)?->title;
        foreach ($routing as $operation) {
            if ($operation->title === $done) {
                return (string) $operation->number;
            }
        }

        return $routing->numbered($number) === null ? null : (string) $number;
    }
}
