<?php

declare(strict_types=1);

namespace App\Imports;

use App\People\Models\Person;
use App\Structures\Export\ItemTable;
use App\Structures\ItemKind;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Category;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Text\ItemNumber;

/** Takes over new items. One that comes with a revision is released in it. */
final class ItemImport implements Importer
{
    private const LONGEST = ['title' => 200, 'supplier' => 120, 'material' => 120, 'revision' => 20];

    private const SUPPLIES = ['make', 'buy', 'subcontract'];

    /** What is written of an item, as it is laid down. */
    private const OF_ITEM = [
        'number' => 'text',
        'title' => 'text',
        'kind' => 'text',
        'category_id' => 'bigint',
        'unit' => 'text',
        'supply' => 'text',
        'sold' => 'boolean',
        'standard_cost' => 'bigint',
        'lead_time_days' => 'integer',
        'supplier' => 'text',
        'mass' => 'bigint',
        'material' => 'text',
    ];

    private readonly Staging $items;

    /** @var array<string, int> code => id */
    private array $categories = [];

    private readonly MistypedNumbers $mistyped;

    public function __construct()
    {
        $this->mistyped = new MistypedNumbers();
        $this->items = new Staging('staged_items', ['row' => 'integer', 'capitals' => 'text', 'revision' => 'text', ...self::OF_ITEM]);
    }

    public static function columns(): array
    {
        return ItemTable::COLUMNS;
    }

    public static function needed(): array
    {
        return ['number', 'title', 'kind', 'category', 'unit'];
    }

    public function check(iterable $rows, Faults $faults): void
    {
        $this->categories = Category::query()->pluck('id', 'code')->all();
        foreach ($rows as $number => $row) {
            $before = $faults->count;
            $this->checkRow($number, $row, $faults);
            $this->items->row([
                $number,
                mb_strtoupper($row['number']),
                $row['revision'] ?? '',
                // A row that is wrong is laid down by its number, so that another of the same number is told.
                ...$faults->count === $before ? $this->values($row) : [$row['number'], ...array_fill(0, count(self::OF_ITEM) - 1, null)],
            ]);
        }
        $this->items->refuseRepeated(
            ['capitals'],
            "number <> ''",
            'number',
            static fn(\stdClass $row): string => "{$row->number} stands in row {$row->before} already.",
            $faults,
        );
        $this->items->refuse(
            'SELECT staged.row, staged.number FROM staged_items staged JOIN items ON items.number = staged.number',
            'number',
            static fn(\stdClass $row): string => "There is an item {$row->number} already.",
            $faults,
        );
        if ($this->items->count() === 0 && $faults->count === 0) {
            throw Refusal::at('file', 'The file has no items.');
        }
    }

    public function write(Person $by, Day $firstDay): string
    {
        $columns = implode(', ', array_keys(self::OF_ITEM));
        DB::insert("INSERT INTO items ({$columns}) SELECT {$columns} FROM staged_items ORDER BY row");
        $released = DB::affectingStatement(
            "INSERT INTO revisions (item_id, code, status, effective_from, reason)
            SELECT items.id, revision, 'in_review', ?, 'First release, taken over'
            FROM staged_items JOIN items USING (number) WHERE revision <> '' ORDER BY row",
            [(string) $firstDay],
        );
        DB::update(
            "UPDATE revisions SET status = 'released', released_by = ?, released_at = ?
            WHERE item_id IN (SELECT items.id FROM staged_items JOIN items USING (number) WHERE revision <> '')",
            [$by->id, CarbonImmutable::now()],
        );

        return "{$this->items->count()} items, {$released} of them released";
    }

    /**
     * @param  array<string, string>  $row
     * @return list<string|int|null> of OF_ITEM
     */
    private function values(array $row): array
    {
        $text = static fn(string $column): ?string => ($row[$column] ?? '') === '' ? null : $row[$column];

        return [
            $row['number'],
            $row['title'],
            $row['kind'],
            $this->categories[$row['category']],
            $row['unit'],
            $text('supply') ?? 'make',
            self::yes($row) ? 't' : 'f',
            $text('standard_cost') === null ? null : Money::parse($row['standard_cost'])->tenThousandths,
            $text('lead_time_days'),
            $text('supplier'),
            $text('mass_kg') === null ? null : FixedPoint::parse($row['mass_kg'], 6),
            $text('material'),
        ];
    }

    /** @param  array<string, string>  $row */
    private function checkRow(int $number, array $row, Faults $faults): void
    {
        foreach (['number', 'title'] as $column) {
            if ($row[$column] === '') {
                $faults->add($number, $column, 'This cannot be empty.');
            }
        }
        foreach (self::LONGEST as $column => $most) {
            if (mb_strlen($row[$column] ?? '') > $most) {
                $faults->add($number, $column, "At most {$most} characters.");
            }
        }
        $slip = ($row['number'] === '' ? null : ItemNumber::fault($row['number'])) ?? $this->mistyped->slip($row['number']);
        if ($slip !== null) {
            $faults->add($number, 'number', $slip);
        }
        $among = static fn(array $codes): string => 'Use one of ' . implode(', ', $codes) . '.';
        if (ItemKind::tryFrom($row['kind']) === null) {
            $faults->add($number, 'kind', $among(array_column(ItemKind::cases(), 'value')));
        }
        if (!isset($this->categories[$row['category']])) {
            $faults->add($number, 'category', $among(array_keys($this->categories)));
        }
        if (Unit::tryFrom($row['unit']) === null) {
            $faults->add($number, 'unit', $among(array_column(Unit::cases(), 'value')));
        }
        if (!in_array($row['supply'] ?? '', ['', ...self::SUPPLIES], true)) {
            $faults->add($number, 'supply', $among(self::SUPPLIES));
        }
        foreach (
            ['standard_cost' => '/^\d{1,12}(\.\d{1,4})?$/D', 'mass_kg' => '/^\d{1,9}(\.\d{1,6})?$/D', 'lead_time_days' => '/^\d{1,4}$/D']
            as $column => $form
        ) {
            if (($row[$column] ?? '') !== '' && preg_match($form, $row[$column]) !== 1) {
                $faults->add(
                    $number,
                    $column,
                    $column === 'lead_time_days' ? 'Write whole days, such as 14.' : 'Write a number with a point, such as 12.50.',
                );
            }
        }
        if (!in_array(strtolower($row['sold'] ?? ''), ['', 'yes', 'no'], true)) {
            $faults->add($number, 'sold', 'Write yes or no.');
        }
    }

    /** @param  array<string, string>  $row */
    private static function yes(array $row): bool
    {
        return strtolower($row['sold'] ?? '') === 'yes';
    }
}
