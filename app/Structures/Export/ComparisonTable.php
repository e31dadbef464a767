<?php

declare(strict_types=1);

namespace App\Structures\Export;

use App\Structures\Data\CompareRow;
use App\Structures\Data\ComparisonPage;
use App\Structures\Data\ComparisonSide;
use App\Structures\Data\LineRow;
use App\Tables\Table;
use Orthotaxis\Core\Calendar\Day;

/** A comparison as a table: one row for each line that came or went, and one for each field that differs. */
final readonly class ComparisonTable
{
    /** The signs are those of the screen. */
    private const SIGNS = ['added' => '+', 'removed' => '−', 'replaced' => '⇄', 'changed' => '≠', 'renumbered' => '#', 'moved' => '↷'];

    private const FIELDS = [
        'find' => 'Find',
        'component' => 'Component',
        'revision' => 'Fixed revision',
        'quantity' => 'Quantity',
        'unit' => 'Unit',
        'designators' => 'Designators',
        'notes' => 'Notes',
        'operation' => 'Operation',
        'scrap' => 'Scrap, %',
        'takes_over' => 'Takes over',
        'not_modelled' => 'Not modelled',
        'phantom' => 'Phantom',
        'by_product' => 'By-product',
        'first_day' => 'First day',
        'last_day' => 'Last day',
    ];

    public static function of(ComparisonPage $page): Table
    {
        $totals = [];
        foreach ($page->totals as $kind => $count) {
            $totals[] = "{$count} {$kind}";
        }

        return new Table(
            "Comparison of {$page->left->number} and {$page->right->number}",
            [
                'Before: ' . self::side($page->left),
                'After: ' . self::side($page->right),
                $page->all_levels ? 'All levels' : 'One level',
                implode(', ', $totals),
            ],
            ['Difference', 'Position', 'Parent', 'Find', 'Component', 'Title', 'Field', 'Before', 'After'],
            self::rows($page->rows),
            ['Find'],
        );
    }

    private static function side(ComparisonSide $side): string
    {
        return "{$side->number} {$side->title}, {$side->kind} structure" .
            ($side->plant === '' ? '' : ", plant {$side->plant}") .
            ', ' .
            match (true) {
                $side->file !== null => "as in {$side->file}",
                $side->order !== null => "after {$side->order}",
                $side->revision !== null => "revision {$side->revision}",
                default => 'as of ' . Day::parse($side->on)->spelled(),
            };
    }

    /**
     * @param  list<CompareRow>  $rows
     * @return \Generator<int, list<string|int|null>>
     */
    private static function rows(array $rows): \Generator
    {
        foreach ($rows as $row) {
            $line = $row->after ?? $row->before;
            $item = $row->item ?? $row->was_item;
            $head = [
                self::SIGNS[$row->kind] . ' ' . $row->kind,
                implode(' / ', [...$row->way, $row->parent_after]),
                $row->parent_before === $row->parent_after ? $row->parent_after : "{$row->parent_before} → {$row->parent_after}",
                $line?->find,
                $line?->component,
                $item?->title,
            ];
            if ($row->before === null || $row->after === null) {
                $text = self::text($line);
                yield [...$head, 'Line', $row->before === null ? '' : $text, $row->after === null ? '' : $text];

                continue;
            }
            if ($row->kind === 'moved') {
                yield [...$head, 'Parent', $row->parent_before, $row->parent_after];
            }
            foreach ($row->fields as $field) {
                yield [...$head, self::FIELDS[$field], self::field($row->before, $field), self::field($row->after, $field)];
            }
        }
    }

    private static function text(?LineRow $line): string
    {
        return $line === null ? '' : trim("{$line->quantity} {$line->unit} {$line->component} {$line->designators} {$line->notes}");
    }

    private static function field(LineRow $line, string $field): string
    {
        $value = ((array) $line)[$field] ?? '';

        return is_bool($value) ? ($value ? 'yes' : '') : (string) $value;
    }
}
