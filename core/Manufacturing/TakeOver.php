<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * What would have to be done at a plant so that nothing is open, as far as it follows from what is there.
 *
 * Engineering replaces the tube at find 50: the plant's line that stands for it, at its operation, gets the new tube. Engineering asks
 * for 8 screws in place of 6, of which the plant puts in 2 at operation 10 and 4 at operation 20: the last of them becomes 6. A new line
 * is put in at the operation of the line before it. What engineering no longer declares goes. Where a kit would have to change, or units
 * do not convert, somebody has to decide.
 */
final readonly class TakeOver
{
    /** @param  array<int, true>  $finds  that are taken */
    private function __construct(private Accountability $of, private Structure $built, private array $finds) {}

    /**
     * @param  Structure  $built  of the item at the plant
     * @return array<string, list<LineEdit>> by the key of the engineering line, be it one that engineering no longer has
     */
    public static function of(Accountability $of, Structure $built): array
    {
        $finds = [];
        foreach ($built as $line) {
            $finds[$line->find] = true;
        }

        return (new self($of, $built, $finds))->edits();
    }

    /** @return array<string, list<LineEdit>> */
    private function edits(): array
    {
        $standing = $declared = [];
        foreach ($this->of->additions as $addition) {
            $line = $this->built->line($addition->part->of->key);
            if ($line !== null && $line->takesOver !== '') {
                $standing[$line->takesOver][] = $line;
            }
        }
        $edits = [];
        $operation = null;
        $finds = $this->finds;
        foreach ($this->of->lines as $line) {
            $declared[$line->line->key] = true;
            foreach ($line->shares as $share) {
                $operation = $share->part->operation ?? $operation;
            }
            $stands = $standing[$line->line->key] ?? [];
            if ($line->account !== Account::Open || $line->why !== null) {
                continue;
            }
            $edit = match (true) {
                count($stands) === 1 && $line->rest->sign() > 0 => self::replaced($line, $stands[0]),
                $stands !== [] => null,
                $line->shares === [] => self::added($line, $operation, $finds),
                default => self::changed($line),
            };
            if ($edit !== null) {
                $edits[$line->line->key] = [$edit];
            }
        }
        foreach ($standing as $key => $lines) {
            if (!isset($declared[$key])) {
                $edits[$key] = array_map(static fn(Line $line): LineEdit => new RemoveLine($line->key), $lines);
            }
        }

        return $edits;
    }

    private static function replaced(Accounted $line, Line $by): LineEdit
    {
        return new ReplaceComponent($by->key, [
            'component' => $line->record->by ?? $line->line->component,
            'quantity' => (string) $line->rest,
            'unit' => $line->unit->value,
            ...self::designators($line, $line->rest->equals($line->wanted), $by),
        ]);
    }

    /** @param  array<int, true>  $finds  that are taken; the one it gets is as well */
    private static function added(Accounted $line, ?int $operation, array &$finds): LineEdit
    {
        $find = $line->line->find;
        while (isset($finds[$find])) {
            $find++;
        }
        $finds[$find] = true;

        return new AddLine(
            '',
            array_filter(
                [
                    'find' => (string) $find,
                    'component' => $line->record->by ?? $line->line->component,
                    'quantity' => (string) $line->rest,
                    'unit' => $line->unit->value,
                    'operation' => (string) $operation,
                    'takes_over' => $line->line->key,
                    ...self::designators($line, $line->rest->equals($line->wanted), null),
                    'notes' => $line->line->notes,
                    'not_modelled' => $line->line->notModelled ? 'yes' : '',
                ],
                static fn(string $text): bool => $text !== '',
            ),
        );
    }

    /**
     * What is named piece by piece keeps its names where one line of the plant stands for all of it.
     *
     * @param  ?Line  $was  the line of the plant; null: a new one
     * @return array{designators?: string} nothing where they stay as they are
     */
    private static function designators(Accounted $line, bool $whole, ?Line $was): array
    {
        $names = $whole && $line->record === null && $line->unit === $line->line->unit ? $line->line->designators : '';

        return $names === ($was->designators ?? '') ? [] : ['designators' => $names];
    }

    /** The last of its parts that is no kit's takes the rest, be it less than nothing. */
    private static function changed(Accounted $line): ?LineEdit
    {
        foreach (array_reverse($line->shares) as $share) {
            $of = $share->part->of;
            // What stands for several engineering lines at once, or is within a kit, is for somebody to decide.
            if ($share->part->through !== [] || !$share->quantity->equals($share->part->quantity)) {
                continue;
            }
            $quantity = $share->quantity->plus($line->rest->in($line->unit, $of->unit));
            if ($quantity->sign() >= 0) {
                return $quantity->sign() === 0
                    ? new RemoveLine($of->key)
                    : new ChangeLine($of->key, [
                        'quantity' => (string) $quantity,
                        ...self::designators($line, count($line->shares) === 1, $of),
                    ]);
            }
        }

        return null;
    }
}
