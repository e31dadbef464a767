<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Manufacturing\RoutingsOfContents;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationReader;
use Orthotaxis\Core\Routing\Routing;

/** The operations at which Tarn and Weir build, one for each number that lines stand at. */
final class DemoRoutings
{
    /** What is done at an operation, at which work centre, set-up and run in minutes; by plant and number. */
    private const STEPS = [
        'Weir' => [
            10 => ['Clean and lay out', 'CLEAN', '5', '1.2'],
            20 => ['Fit the first parts', 'PUMP', '12', '3.5'],
            30 => ['Fit the other parts', 'PUMP', '8', '4'],
            40 => ['Connect and close', 'PUMP', '6', '2.8'],
            90 => ['Grease, label, test', 'TEST', '15', '2'],
        ],
        'Tarn' => [
            10 => ['Prepare the case', 'CASE', '10', '2.5'],
            20 => ['Fit the modules', 'FINAL', '6', '6.5'],
            30 => ['Connect and close', 'FINAL', '4', '5'],
            40 => ['Flow test', 'TEST', '20', '8'],
            90 => ['Label and pack', 'PACK', '3', '1.8'],
        ],
    ];

    /** What is said of some operations besides: parent, plant, number, fields. */
    private const SAID = [
        ['200-0010', 'Weir', 10, ['title' => 'Clean housing and rotor', 'instruction' => '820-0001']],
        [
            '200-0010',
            'Weir',
            20,
            [
                'title' => 'Fit rotor and tube',
                'instruction' => '820-0001',
                'tools' => '900-0001, 900-0002',
                'inspection' => 'Roller gap 2.1 to 2.3 mm at three places',
            ],
        ],
        ['200-0010', 'Weir', 30, ['title' => 'Close the housing', 'instruction' => '820-0001']],
        ['200-0030', 'Weir', 10, ['title' => 'Press the pins', 'tools' => '900-0001', 'instruction' => '820-0003']],
        ['230-0001', 'Tarn', 10, ['title' => 'Seal the lid', 'tools' => '900-0003']],
    ];

    /** Outside: parent, plant, number, fields. */
    private const OUTSIDE = [
        [
            '200-0010',
            'Weir',
            5,
            [
                'title' => 'Coat the housing',
                'supplier' => 'Fjellheim Coating',
                'cost' => '2.35',
                'lead_time' => '6',
            ],
        ],
    ];

    /** So many are made at once. */
    private const BATCHES = ['Weir' => '20', 'Tarn' => '8'];

    public function write(): void
    {
        $routings = new RoutingsOfContents();
        $built = DB::select(
            "SELECT c.id, c.plant, i.number, array_to_json(array_agg(DISTINCT l.operation ORDER BY l.operation)) AS operations
            FROM contents c JOIN items i ON i.id = c.item_id JOIN structure_lines l ON l.content_id = c.id
            WHERE c.kind = 'manufacturing' AND l.operation IS NOT NULL GROUP BY c.id, c.plant, i.number ORDER BY c.id",
        );
        $known = array_flip(Item::query()->pluck('number')->all());
        foreach ($built as $one) {
            $numbers = json_decode((string) $one->operations, true, flags: JSON_THROW_ON_ERROR);
            $operations = [];
            foreach (is_array($numbers) ? $numbers : [] as $number) {
                [$title, $centre, $setUp, $run] = self::STEPS[$one->plant][$number] ?? self::STEPS[$one->plant][40];
                $operations[] = self::operation(
                    ['number' => (string) $number, 'title' => $title, 'work_centre' => $centre, 'set_up' => $setUp, 'run' => $run],
                    self::said($one->number, $one->plant, $number),
                );
            }
            foreach (self::OUTSIDE as [$parent, $plant, $number, $fields]) {
                if ($parent === $one->number && $plant === $one->plant) {
                    $operations[] = self::operation(['number' => (string) $number], $fields);
                }
            }
            foreach ($operations as $operation) {
                foreach ($operation->refersTo() as $number) {
                    isset($known[$number]) || throw new \LogicException("The demo has no {$number}.");
                }
            }
            $routings->write($one->id, new Routing($operations, Quantity::parse(self::BATCHES[$one->plant])));
        }
    }

    /**
     * @param  array<string, string>  $fields
     * @param  array<string, string>  $said
     */
    private static function operation(array $fields, array $said): Operation
    {
        return (new OperationReader())->read((string) Str::uuid7(), $said + $fields);
    }

    /** @return array<string, string> */
    private static function said(string $parent, string $plant, int $number): array
    {
        foreach (self::SAID as [$of, $at, $operation, $fields]) {
            if ([$of, $at, $operation] === [$parent, $plant, $number]) {
                return $fields;
            }
        }

        return [];
    }
}
