<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\ChangeLine;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Edit\RemoveLine;
use Orthotaxis\Core\Edit\ReplaceComponent;
use Orthotaxis\Core\Quantity\Exact;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FreeFinds;
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
    private function __construct(private Accountability $of, private Structure $built, private FreeFinds $finds) {}

    /**
     * @param  Structure  $built  of the item at the plant
     * @param  ?FreeFinds  $finds  of the structure; null: nobody else asks for some
     * @return array<string, non-empty-list<LineEdit>> by the key of the engineering line, be it one that engineering no longer has
     */
    public static function of(Accountability $of, Structure $built, ?FreeFinds $finds = null): array
    {
        return (new self($of, $built, $finds ?? FreeFinds::in($built)))->edits();
    }

    /**
     * Some lines taken over by hand, at an operation, whole or in part. Of 8 screws 2 are taken over at operation 10: a line of its own at
     * the plant, and 6 stay open. Where the plant has one line left that stands for it, that becomes it.
     *
     * @param  Structure  $built  of the item at the plant
     * @param  array<string, string>  $parts  so much of a line, in the unit in which it is open, by key; empty: all that is open
     * @param  string  $operation  its number; empty: at none
     * @return list<LineEdit>
     *
     * @throws Refusal at the key of a line of which so much is not open
     */
    public static function into(Accountability $of, Structure $built, array $parts, string $operation): array
    {
        $finds = FreeFinds::in($built);
        $byKey = array_column(array_map(static fn(Accounted $one): array => [$one->line->key, $one], $of->lines), 1, 0);
        $edits = [];
        foreach ($parts as $key => $part) {
            $line = $byKey[$key] ?? throw Refusal::at($key, 'Engineering declares no such line.');
            if ($line->why !== null || $line->rest->sign() <= 0) {
                throw Refusal::at($key, $line->why ?? 'Nothing of it is open.');
            }
            $so = $part === '' ? $line->rest : Exact::of(Quantity::parse($part, $key));
            if ($so->sign() <= 0 || $line->rest->minus($so)->sign() < 0) {
                throw Refusal::at(
                    $key,
                    "{$line->rest} {$line->unit->value} of it are open; take over more than nothing, and no more than that.",
                );
            }
            $stands = array_values(
                array_filter($built->lines, static fn(Line $one): bool => $one->takesOver === $key && $line->shares === []),
            );
            if (count($stands) === 1 && $so->equals($line->rest)) {
                $edits[] = self::replaced($line, $stands[0]);
                if ($operation !== '' && (string) $stands[0]->operation !== $operation) {
                    $edits[] = new ChangeLine($stands[0]->key, ['operation' => $operation]);
                }
            } else {
                $edits[] = self::added($line, $operation, $so, $finds);
            }
        }

        return $edits;
    }

    /** @return array<string, non-empty-list<LineEdit>> */
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
                $line->shares === [] => self::added($line, (string) $operation, $line->rest, $this->finds),
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

    /** @param  Exact  $so  much of it */
    private static function added(Accounted $line, string $operation, Exact $so, FreeFinds $finds): LineEdit
    {
        return new AddLine(
            '',
            array_filter(
                [
                    'find' => (string) $finds->from($line->line->find),
                    'component' => $line->record->by ?? $line->line->component,
                    'quantity' => (string) $so,
                    'unit' => $line->unit->value,
                    'operation' => $operation,
                    'takes_over' => $line->line->key,
                    ...self::designators($line, $so->equals($line->wanted), null),
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
