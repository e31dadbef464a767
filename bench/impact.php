<?php

declare(strict_types=1);

// The cut-in planner on a large case, against C, and the reach of the most shared item, against recursive SQL (measured by
// reach.php). Arguments: lines, demand rows, json (0 or 1), folder, C program, what reach.php found.

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\FlatList;
use Orthotaxis\Core\Adjacency\Lists;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\CutIn\Chances;
use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\Part;
use Orthotaxis\Core\CutIn\PlantCase;
use Orthotaxis\Core\CutIn\PlantDays;
use Orthotaxis\Core\CutIn\PlantNet;
use Orthotaxis\Core\CutIn\PlantPlan;
use Orthotaxis\Core\CutIn\Receipt;
use Orthotaxis\Core\CutIn\Requirements;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;

require __DIR__ . '/../vendor/autoload.php';

[, $lines, $rows, $json, $folder, $program, $reach] = $argv;
const DAYS = 365;
const PRODUCTS = 1_000;

/** One component directly in many products. */
final readonly class Star implements Lists
{
    /** @var array<int, list<int>> */
    private array $down;

    /** @var array<int, list<int>> */
    private array $up;

    /** @param  array<int, int>  $each  product => millionths of the component in one */
    public function __construct(array $each)
    {
        $this->down = array_map(static fn(int $one): array => FlatList::of([[PRODUCTS, $one, Span::of(null, null)]]), $each);
        $this->up = [
            PRODUCTS => FlatList::of(
                array_map(static fn(int $product, int $one): array => [$product, $one, Span::of(null, null)], array_keys($each), $each),
            ),
        ];
    }

    public function down(int $block): array
    {
        return $block === 0 ? $this->down : [];
    }

    public function up(int $block): array
    {
        return $block === 0 ? $this->up : [];
    }
}

function middle(array $times): float
{
    sort($times);

    return $times[intdiv(count($times), 2)];
}

const OLD = PRODUCTS;
const NEW_PART = PRODUCTS + 1;
const APPROVAL = 10;

$random = new Random\Randomizer(new Random\Engine\Mt19937(7));
$supply = $each = $uses = [];
$case = [DAYS, PRODUCTS];
$perProduct = max(1, intdiv((int) $rows, PRODUCTS));
for ($product = 0; $product < PRODUCTS; $product++) {
    $each[$product] = $random->getInt(1, 8) * 250_000;
    // A fifth more of the new part takes the place of the old one, and one product in ten goes on with that.
    $after = $product % 10 === 0 ? -1 : intdiv($each[$product] * 6, 5);
    if ($after >= 0) {
        $uses[OLD][$product] = 0;
        $uses[NEW_PART][$product] = $after;
    }
    $hand = $random->getInt(0, 30) * Quantity::ONE;
    $lead = $random->getInt(0, 20);
    $wanted = [];
    array_push($case, $each[$product], $after, $hand, $lead, $perProduct);
    for ($i = 0; $i < $perProduct; $i++) {
        $wanted[] = [$random->getInt(0, DAYS - 1), $random->getInt(1, 9) * Quantity::ONE, "SO-{$i}"];
        array_push($case, ...array_slice($wanted[$i], 0, 2));
    }
    $supply[$product] = new NodeSupply(onHand: $hand, wanted: $wanted, leadDays: $lead);
}
$money = static fn(int $whole): Money => Money::ofTenThousandths($whole * 100);
$receipts = array_map(
    static fn(int $i): Receipt => new Receipt(
        sprintf('PO-%02d', $i),
        $random->getInt(0, 360),
        $random->getInt(100, 9_000) * Quantity::ONE,
        $i % 3 === 0 ? null : $money($random->getInt(0, 90_000)),
    ),
    range(1, 40),
);
usort($receipts, static fn(Receipt $a, Receipt $b): int => $b->day <=> $a->day ?: strcmp($b->document, $a->document));
$keep = 300 * Quantity::ONE;
$web = new Adjacency(PRODUCTS + 2, new Star($each));
$demands = static function () use ($web, $supply, $uses): array {
    $requirements = Requirements::of([new PlantNet($web, PlantDays::all(), $supply, uses: $uses)], [OLD, NEW_PART], 20_000, DAYS);

    return [$requirements->demand(0, OLD), $requirements->demand(0, NEW_PART)];
};
$planned = static function (array $demands, int $keep, array $let) use ($receipts, $money): PlantPlan {
    [$old, $new] = $demands;

    return PlantPlan::of(
        new PlantCase('', PlantDays::all(), [
            new Part(
                number: 'OLD',
                stock: 20_000 * Quantity::ONE,
                receipts: $receipts,
                demand: $old,
                cost: $money(980),
                disposal: $money(980),
                penalty: $money(1_960),
                leadDays: 60,
                keep: $keep,
            ),
            new Part(
                number: 'NEW',
                stock: 500 * Quantity::ONE,
                receipts: [],
                demand: $new,
                cost: $money(1_140),
                disposal: $money(0),
                penalty: $money(2_280),
                leadDays: 45,
            ),
        ]),
        new Levers(notCancelled: $let, approvalDays: APPROVAL),
    );
};
array_push($case, 20_000 * Quantity::ONE, $money(980)->tenThousandths, $money(1_960)->tenThousandths, 60);
array_push($case, 500 * Quantity::ONE, $money(2_280)->tenThousandths, APPROVAL + 45, $keep, count($receipts));
foreach ($receipts as $receipt) {
    array_push($case, $receipt->day, $receipt->quantity, $receipt->cancelFee === null ? -1 : $receipt->cancelFee->tenThousandths);
}
file_put_contents("{$folder}/cut-in.bin", pack('q*', ...$case));
exec(
    escapeshellarg($program) . ' ' . escapeshellarg("{$folder}/cut-in.bin") . ' ' . escapeshellarg("{$folder}/cut-in-answer.bin") . ' 11',
    $c,
    $status,
);
if ($status !== 0) {
    throw new RuntimeException('The C program failed.');
}
$fromC = array_values((array) unpack('q*', (string) file_get_contents("{$folder}/cut-in-answer.bin")));

// The days that the screen looks at: a year in steps of a week, and its last day.
$weekly = [...range(0, DAYS - 1, 7), DAYS - 1];
$first = $again = $sampled = [];
// As many as a process that serves has answered before long: by then what is gone through often is compiled.
for ($round = 0; $round < 41; $round++) {
    $started = hrtime(true);
    $wanted = $demands();
    $plan = $planned($wanted, $keep, []);
    $first[] = (hrtime(true) - $started) / 1e6;
    $equal = array_map(static fn(CutInDay $day): int => $day->total->tenThousandths, $plan->days) === $fromC;
    $started = hrtime(true);
    $planned($wanted, 2 * $keep, ['PO-01']);
    $again[] = (hrtime(true) - $started) / 1e6;
}
for ($round = 0; $round < 3; $round++) {
    $started = hrtime(true);
    Chances::of([$plan->case], new Levers(approvalDays: APPROVAL), $weekly, 20, 20, 7);
    $sampled[] = (hrtime(true) - $started) / 1e6;
}
$cMs = middle(array_map(floatval(...), $c));
/** @var array{name: string, rows: int, ours_first_ms: float, ours_ms: float, sql_ms: float, equal: bool, peak_mb: float} $reached */
$reached = json_decode($reach, true, flags: JSON_THROW_ON_ERROR);
$report = [
    'lines' => (int) $lines,
    'demand_rows' => PRODUCTS * $perProduct,
    'questions' => [
        array_diff_key($reached, ['peak_mb' => 0]),
        [
            'name' => 'cut-in plan over 365 days, component of 1,000 products',
            'ours_first_ms' => round($first[0], 3),
            'ours_ms' => round(middle($first), 3),
            'c_ms' => round($cMs, 4),
            'equal' => $equal,
        ],
        [
            'name' => 'the same after a lever was moved',
            'ours_first_ms' => round($again[0], 3),
            'ours_ms' => round(middle($again), 3),
            'c_ms' => round($cMs, 4),
            'share_of_first_plan' => round(middle($again) / middle($first), 3),
        ],
        [
            'name' => Chances::SAMPLES . ' samples of it, on ' . count($weekly) . ' days',
            'ours_first_ms' => round($sampled[0], 1),
            'ours_ms' => round(middle($sampled), 1),
        ],
    ],
    'peak_mb' => max($reached['peak_mb'], round(memory_get_peak_usage(true) / 1e6, 1)),
];
if ($json === '1') {
    echo json_encode($report, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE), "\n";
    exit();
}
[, $plan, $lever, $samples] = $report['questions'];
printf(
    "\n%s lines, %s demand rows\n%s: %s rows, first %.1f ms, then %.1f ms, in SQL %.1f ms: %.1f× faster, answers equal: %s\n%s: %.1f ms, in C %.2f ms: %.1f×, answers equal: %s\n%s: %.2f ms, %.1f %% of the first plan, %.1f× C\n%s: %.0f ms\npeak memory: %.1f MB\n",
    number_format($report['lines']),
    number_format($report['demand_rows']),
    $reached['name'],
    number_format($reached['rows']),
    $reached['ours_first_ms'],
    $reached['ours_ms'],
    $reached['sql_ms'],
    $reached['sql_ms'] / $reached['ours_ms'],
    $reached['equal'] ? 'yes' : 'NO',
    $plan['name'],
    $plan['ours_ms'],
    $plan['c_ms'],
    $plan['ours_ms'] / $plan['c_ms'],
    $plan['equal'] ? 'yes' : 'NO',
    $lever['name'],
    $lever['ours_ms'],
    100 * $lever['share_of_first_plan'],
    $lever['ours_ms'] / $lever['c_ms'],
    $samples['name'],
    $samples['ours_ms'],
    $report['peak_mb'],
);
