<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\ItemKind;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Manufacturing\TakenOver;
use Orthotaxis\Core\Quantity\Money;

/** Categories, and the items of demo/catalogue.txt. Whatever is made gets a drawing of its own. */
final class CatalogueSeeder extends Seeder
{
    /** Only manufacturing has it: nobody draws it. */
    private const KIT = '200-0090';

    private const CATEGORIES = [
        'sold' => 'What is sold',
        'mechanical' => 'Mechanics',
        'electrical' => 'Electrics',
        'small' => 'Small parts and packing',
        'papers' => 'Papers',
        'product' => 'Products',
        'kit' => 'Spares kits',
        'pump' => 'Pump',
        'sampling' => 'Sampling unit',
        'case' => 'Case',
        'suction' => 'Suction line',
        'controller' => 'Controller',
        'electronics' => 'Electronic components',
        'power' => 'Power',
        'cooling' => 'Cooling',
        'cable' => 'Cables',
        'fastener' => 'Fasteners',
        'consumable' => 'Consumables',
        'label' => 'Labels',
        'packaging' => 'Packaging',
        'document' => 'Documents',
        'drawing' => 'Drawings',
        'tool' => 'Tools',
    ];

    /** @var array<string, string> category => the one it stands under */
    private const UNDER = [
        'product' => 'sold',
        'kit' => 'sold',
        'pump' => 'sampling',
        'sampling' => 'mechanical',
        'case' => 'mechanical',
        'suction' => 'sampling',
        'controller' => 'electrical',
        'electronics' => 'controller',
        'power' => 'electrical',
        'cooling' => 'mechanical',
        'cable' => 'electrical',
        'fastener' => 'small',
        'consumable' => 'small',
        'label' => 'small',
        'packaging' => 'small',
        'document' => 'papers',
        'drawing' => 'papers',
    ];

    private const PREFIXES = [
        'product' => '100-',
        'kit' => '110-',
        'pump' => '200-',
        'sampling' => '210-',
        'case' => '230-',
        'suction' => '240-',
        'controller' => '300-',
        'electronics' => '310-',
        'power' => '400-',
        'cooling' => '410-',
        'cable' => '500-',
        'fastener' => '600-',
        'consumable' => '710-',
        'label' => '720-',
        'packaging' => '730-',
        'document' => '820-',
        'drawing' => '800-',
        'tool' => '900-',
    ];

    /** How plants take over what is in a category, where nothing else says it. */
    private const TAKEN_OVER = [
        'fastener' => [TakenOver::WithBefore, ''],
        'label' => [TakenOver::Last, ''],
        'packaging' => [TakenOver::Last, ''],
        'papers' => [TakenOver::LeftOut, 'Shown on the screen of the work place; not issued with the parts.'],
    ];

    private const SITES = ['Tarn' => 'Tarn, final assembly', 'Weir' => 'Weir, electronics and pumps'];

    public function run(): void
    {
        foreach (self::SITES as $code => $name) {
            DB::table('choices')->insert(['list' => 'site', 'code' => $code, 'name' => $name]);
        }
        DB::table('kind_sequences')->insert(
            array_map(
                static fn(ItemKind $kind): array => [
                    'kind' => $kind->value,
                    'sequence' => $kind === ItemKind::Document ? 'numbers' : 'letters',
                ],
                ItemKind::cases(),
            ),
        );
        /** @var array<string, int> $categories */
        $categories = [];
        foreach (self::CATEGORIES as $code => $name) {
            $categories[$code] = Category::query()->create([
                'code' => $code,
                'name' => $name,
                'number_prefix' => self::PREFIXES[$code] ?? '',
                'number_width' => 4,
                'asked' =>
                    $code === 'electronics'
                        ? [
                            ['name' => 'package', 'label' => 'Package', 'required' => true],
                            ['name' => 'tolerance', 'label' => 'Tolerance', 'required' => false],
                        ]
                        : [],
                'taken_over' => self::TAKEN_OVER[$code][0] ?? null,
                'taken_over_reason' => self::TAKEN_OVER[$code][1] ?? '',
            ])->id;
        }
        foreach (self::UNDER as $code => $over) {
            Category::query()
                ->where('code', $code)
                ->update(['parent_id' => $categories[$over]]);
        }
        $rows = [];
        $drawing = 0;
        foreach (self::entries() as [$number, $title, $kind, $category, $unit, $supply, $cost, $leadTime, $from]) {
            $rows[] = self::row($number, $title, $kind, $categories[$category], $unit, $supply, $cost, (int) $leadTime, $from);
            if ($supply === 'make' && in_array($kind, ['assembly', 'part'], true) && $number !== self::KIT) {
                $rows[] = self::row(
                    sprintf('800-%04d', ++$drawing),
                    "Drawing, {$title}",
                    'drawing',
                    $categories['drawing'],
                    'pc',
                    'make',
                    '0',
                    1,
                    '',
                );
            }
        }
        Item::query()->insert($rows);
    }

    /** @return \Generator<list<string>> one entry an item, with {a,b} written out */
    private static function entries(): \Generator
    {
        foreach (file(__DIR__ . '/demo/catalogue.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            if ($line[0] === '#') {
                continue;
            }
            $columns = array_pad(array_map(trim(...), explode('|', $line)), 9, '');
            if (preg_match('/\{([^}]+)\}/', $columns[1], $match) !== 1) {
                yield $columns;

                continue;
            }
            [$group, $first] = explode('-', $columns[0]);
            foreach (explode(',', $match[1]) as $i => $variant) {
                yield [
                    sprintf('%s-%04d', $group, (int) $first + $i),
                    str_replace($match[0], $variant, $columns[1]),
                    ...array_slice($columns, 2),
                ];
            }
        }
    }

    /** @return array<string, string>|\stdClass what the category of electronic components asks for */
    private static function attributes(string $number, string $title): array|\stdClass
    {
        if (!str_starts_with($number, '31')) {
            return new \stdClass();
        }
        $tolerance = preg_match('/^(Resistor|Capacitor)/', $title, $m) === 1 ? ['tolerance' => $m[1] === 'Resistor' ? '1 %' : '10 %'] : [];

        return [
            'package' => match (true) {
                $tolerance !== [] => '0603',
                str_contains($title, 'Processor') => '64 pins, flat',
                str_contains($title, 'regulator') => str_contains($title, 'small') ? 'small outline, 8 pins' : 'outline, 3 pins',
                default => 'surface mount',
            },
        ] + $tolerance;
    }

    /** @return array<string, mixed> */
    private static function row(
        string $number,
        string $title,
        string $kind,
        int $category,
        string $unit,
        string $supply,
        string $cost,
        int $leadTime,
        string $from,
    ): array {
        return [
            'number' => $number,
            'title' => $title,
            'kind' => $kind,
            'category_id' => $category,
            'unit' => $unit,
            'supply' => $supply,
            'sold' => in_array(substr($number, 0, 3), ['100', '110'], true),
            'standard_cost' => Money::parse($cost)->tenThousandths,
            'lead_time_days' => $leadTime,
            'supplier' => $supply === 'buy' && $from !== '' ? $from : null,
            'material' => $supply === 'make' && $from !== '' ? $from : null,
            'attributes' => json_encode(self::attributes($number, $title)),
        ];
    }
}
