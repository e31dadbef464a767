<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/**
 * The parts list and the balloons of a drawing (ASME Y14.34) held against the structure that it shows, read from the texts of the sheet
 * alone: a row is what stands at one height and names an item.
 *
 * Example: the structure has 4 screws 600-0023 at find number 100. The sheet says "100 600-0023 Screw, socket head 4 pc": it agrees. It
 * says "2 pc": another quantity. It says "110 600-0023 …": another find number. No row names 600-0023: it is missing. A balloon 100 is
 * looked for where the sheet has balloons at all; in a PDF no circle is known, and balloons are not checked.
 */
final readonly class PartsListCheck
{
    /**
     * @param  int  $rows  of a parts list that were found
     * @param  int  $balloons  that were found
     * @param  list<SheetFinding>  $findings  in the order of the structure, then what only the sheet has
     */
    private function __construct(public int $rows, public int $balloons, public array $findings) {}

    /**
     * @param  list<SheetText>  $texts
     * @param  float  $tolerance  how far apart in height texts of one row stand at most, in units of the sheet
     * @param  Structure  $structure  with the lines that hold on the day of the sheet
     * @param  list<string>  $items  numbers of items that there are, of those that the sheet may name
     * @param  list<string>  $not  numbers that stand in the title block: of the sheet itself, and of what it shows
     */
    public static function of(array $texts, float $tolerance, Structure $structure, array $items, array $not): self
    {
        $known = array_diff_key(array_flip($items), array_flip($not));
        $rows = self::rows($texts, $tolerance, $known);
        $findings = $finds = [];
        $pairs = self::pairs($structure, $rows);
        foreach ($structure->lines as $key => $line) {
            $finds[(string) $line->find] = $line;
            if ($rows !== []) {
                array_push($findings, ...self::inRow($line, isset($pairs[$key]) ? $rows[$pairs[$key]] : null));
            }
        }
        $ringed = [];
        foreach ($texts as $text) {
            if ($text->ringed && preg_match('/^\d{1,4}$/D', trim($text->text)) === 1) {
                $ringed[(string) (int) trim($text->text)] = true;
            }
        }
        foreach ($ringed === [] ? [] : array_diff_key($finds, $ringed) as $find => $line) {
            // What is never modelled is never drawn: nothing can be pointed at.
            if (!$line->notModelled) {
                $findings[] = new SheetFinding(FindingKind::MissingBalloon, (string) $find, $line->component, structure: (string) $find);
            }
        }
        foreach (array_diff_key($rows, array_flip($pairs)) as $row) {
            $findings[] = new SheetFinding(FindingKind::ExtraRow, $row['find'], $row['item'], sheet: $row['item']);
        }
        foreach (array_diff_key($ringed, $finds) as $number => $_) {
            $findings[] = new SheetFinding(FindingKind::ExtraBalloon, (string) $number, '', sheet: (string) $number);
        }

        return new self(count($rows), count($ringed), $findings);
    }

    /**
     * @param  ?array{find: string, item: string, numbers: list<string>}  $row
     * @return list<SheetFinding>
     */
    private static function inRow(Line $line, ?array $row): array
    {
        [$find, $quantity] = [(string) $line->find, (string) $line->quantity];
        if ($row === null) {
            return [new SheetFinding(FindingKind::MissingRow, $find, $line->component, structure: "{$quantity} {$line->unit->value}")];
        }
        $findings = [];
        if ($row['find'] !== $find) {
            $findings[] = new SheetFinding(FindingKind::OtherFind, $find, $line->component, sheet: $row['find'], structure: $find);
        }
        if ($row['numbers'] !== [] && !in_array($quantity, $row['numbers'], true)) {
            $said = $row['numbers'][count($row['numbers']) - 1];
            $findings[] = new SheetFinding(FindingKind::OtherQuantity, $find, $line->component, sheet: $said, structure: $quantity);
        }

        return $findings;
    }

    /**
     * The row of each line: with its find number, else one that names its component and is no other line's.
     *
     * @param  list<array{find: string, item: string, numbers: list<string>}>  $rows
     * @return array<array-key, int> by the key of the line
     */
    private static function pairs(Structure $structure, array $rows): array
    {
        $pairs = $used = [];
        foreach ([true, false] as $byFind) {
            foreach ($structure->lines as $key => $line) {
                foreach (isset($pairs[$key]) ? [] : $rows as $at => $row) {
                    if (!isset($used[$at]) && $row['item'] === $line->component && (!$byFind || $row['find'] === (string) $line->find)) {
                        $pairs[$key] = $at;
                        $used[$at] = true;
                        break;
                    }
                }
            }
        }

        return $pairs;
    }

    /**
     * @param  list<SheetText>  $texts
     * @param  array<array-key, int>  $known  items, by number
     * @return list<array{find: string, item: string, numbers: list<string>}> of each row that names an item: the whole number before it,
     *     and all numbers after it
     */
    private static function rows(array $texts, float $tolerance, array $known): array
    {
        usort($texts, static fn(SheetText $a, SheetText $b): int => [$a->page, $a->y, $a->x] <=> [$b->page, $b->y, $b->x]);
        $rows = [];
        $row = [];
        $last = null;
        foreach ($texts as $text) {
            if ($last !== null && ($text->page !== $last->page || $text->y - $last->y > $tolerance)) {
                $rows[] = self::row($row, $known);
                $row = [];
            }
            if (!$text->ringed) {
                $row[] = $text;
            }
            $last = $text;
        }
        $rows[] = self::row($row, $known);

        return array_values(array_filter($rows));
    }

    /**
     * @param  list<SheetText>  $texts
     * @param  array<array-key, int>  $known
     * @return ?array{find: string, item: string, numbers: list<string>}
     */
    private static function row(array $texts, array $known): ?array
    {
        usort($texts, static fn(SheetText $a, SheetText $b): int => $a->x <=> $b->x);
        $find = $item = '';
        $numbers = [];
        foreach ($texts as $text) {
            foreach (preg_split('/\s+/', trim($text->text)) ?: [] as $word) {
                if ($item === '' && isset($known[$word])) {
                    $item = $word;
                } elseif ($item === '' && preg_match('/^\d{1,4}$/D', $word) === 1) {
                    $find = (string) (int) $word;
                } elseif ($item !== '' && preg_match('/^\d{1,9}([.,]\d{1,6})?$/D', $word) === 1) {
                    $numbers[] = self::plain(str_replace(',', '.', $word));
                }
            }
        }

        return $item === '' ? null : ['find' => $find, 'item' => $item, 'numbers' => $numbers];
    }

    private static function plain(string $number): string
    {
        $number = ltrim($number, '0');
        $number = $number === '' || $number[0] === '.' ? "0{$number}" : $number;

        return str_contains($number, '.') ? rtrim(rtrim($number, '0'), '.') : $number;
    }
}
