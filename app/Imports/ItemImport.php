<?php

declare(strict_types=1);

namespace App\Imports;

use App\People\Models\Person;
use App\Structures\Export\ItemTable;
use App\Structures\ItemKind;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Category;
use App\Tables\CopyInto;
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
    private const AT_ONCE = 2_000;

    private const LONGEST = ['title' => 200, 'supplier' => 120, 'material' => 120, 'revision' => 20];

    private const SUPPLIES = ['make', 'buy', 'subcontract'];

    /** @var array<string, int> number in capitals => row */
    private array $seen = [];

    /** @var array<string, int> code => id */
    private array $categories = [];

    private readonly MistypedNumbers $mistyped;

    public function __construct()
    {
        $this->mistyped = new MistypedNumbers();
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
        $waiting = [];
        foreach ($rows as $number => $row) {
            $this->checkRow($number, $row, $faults);
            $waiting[$row['number']] = $number;
            if (count($waiting) === self::AT_ONCE) {
                self::refuseKnown($waiting, $faults);
                $waiting = [];
            }
        }
        self::refuseKnown($waiting, $faults);
        if ($this->seen === [] && $faults->count === 0) {
            throw Refusal::at('file', 'The file has no items.');
        }
    }

    public function write(iterable $rows, Person $by, Day $firstDay): string
    {
        $now = CarbonImmutable::now();
        $copy = new CopyInto('items', [
            'number',
            'title',
            'kind',
            'category_id',
            'unit',
            'supply',
            'sold',
            'standard_cost',
            'lead_time_days',
            'supplier',
            'mass',
            'material',
        ]);
        $revisions = [];
        foreach ($rows as $row) {
            $text = static fn(string $column): ?string => ($row[$column] ?? '') === '' ? null : $row[$column];
            $copy->row([
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
            ]);
            if ($text('revision') !== null) {
                $revisions[$row['number']] = $row['revision'];
            }
        }
        $copy->flush();
        foreach (array_chunk($revisions, self::AT_ONCE, true) as $some) {
            $ids = DB::table('items')->whereIn('number', array_map(strval(...), array_keys($some)))->pluck('id', 'number');
            DB::table('revisions')->insert(
                array_map(
                    static fn(int|string $number): array => [
                        'item_id' => $ids[$number],
                        'code' => $some[$number],
                        'status' => 'in_review',
                        'effective_from' => (string) $firstDay,
                        'reason' => 'First release, taken over',
                    ],
                    array_keys($some),
                ),
            );
            DB::table('revisions')
                ->whereIn('item_id', $ids->values()->all())
                ->update(['status' => 'released', 'released_by' => $by->id, 'released_at' => $now]);
        }

        return "{$copy->count} items, " . count($revisions) . ' of them released';
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
        $same = $this->seen[mb_strtoupper($row['number'])] ?? null;
        if ($same !== null) {
            $faults->add($number, 'number', "{$row['number']} stands in row {$same} already.");
        }
        $this->seen[mb_strtoupper($row['number'])] = $number;
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

    /** @param  array<array-key, int>  $rows  number => row */
    private static function refuseKnown(array $rows, Faults $faults): void
    {
        foreach (DB::table('items')->whereIn('number', array_map(strval(...), array_keys($rows)))->pluck('number') as $known) {
            $faults->add($rows[$known], 'number', "There is an item {$known} already.");
        }
    }

    /** @param  array<string, string>  $row */
    private static function yes(array $row): bool
    {
        return strtolower($row['sold'] ?? '') === 'yes';
    }
}
