<?php

declare(strict_types=1);

// The cut-in planner on a large case, against C, and the reach of the most shared item, against recursive SQL (measured by
// reach.php). Arguments: lines, demand rows, json (0 or 1), folder, C program, what reach.php found.

use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\FlatList;
use Orthotaxis\Core\Adjacency\Lists;
use Orthotaxis\Core\Adjacency\Span;
use Orthotaxis\Core\CutIn\CutInDay;
use Orthotaxis\Core\CutIn\CutInPlan;
use Orthotaxis\Core\CutIn\Levers;
use Orthotaxis\Core\CutIn\NodeSupply;
use Orthotaxis\Core\CutIn\Pair;
use Orthotaxis\Core\CutIn\Part;
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

$random = new Random\Randomizer(new Random\Engine\Mt19937(7));
$supply = $each = [];
$case = [DAYS, PRODUCTS];
$perProduct = max(1, intdiv((int) $rows, PRODUCTS));
for ($product = 0; $product < PRODUCTS; $product++) {
    $each[$product] = $random->getInt(1, 8) * 250_000;
    $hand = $random->getInt(0, 30) * Quantity::ONE;
    $lead = $random->getInt(0, 20);
    $wanted = [];
    array_push($case, $each[$product], $hand, $lead, $perProduct);
    for ($i = 0; $i < $perProduct; $i++) {
        $wanted[] = [$random->getInt(0, DAYS - 1), $random->getInt(1, 9) * Quantity::ONE, "SO-{$i}"];
        array_push($case, ...array_slice($wanted[$i], 0, 2));
    }
    $supply[$product] = new NodeSupply($hand, $wanted, [], $lead);
}
$money = static fn(int $whole): Money => Money::ofTenThousandths($whole * 100);
$receipts = array_map(
    static fn(int $i): Receipt => new Receipt(
        "PO-{$i}",
        $random->getInt(0, 380),
        $random->getInt(100, 9_000) * Quantity::ONE,
        $i % 3 === 0 ? null : $money($random->getInt(0, 90_000)),
    ),
    range(1, 40),
);
$old = new Part('OLD', 20_000 * Quantity::ONE, $receipts, $money(980), $money(400), $money(490));
$new = new Part('NEW', 500 * Quantity::ONE, [], $money(1_140), $money(0), $money(570), 45);
$ratio = 1_200_000;
$keep = 300 * Quantity::ONE;
array_push(
    $case,
    $old->stock,
    $old->cost->tenThousandths,
    $old->disposal->tenThousandths,
    $old->expedite->tenThousandths,
    $new->stock,
    $new->cost->tenThousandths,
    $new->expedite->tenThousandths,
    $new->leadDays,
    $ratio,
    $keep,
    count($receipts),
);
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

$web = new Adjacency(PRODUCTS + 1, new Star($each));
$first = $again = [];
for ($round = 0; $round < 7; $round++) {
    $started = hrtime(true);
    $pair = new Pair($old, $new, Requirements::of($web, PRODUCTS, 20_000, DAYS, $supply)->byDay(), $ratio);
    $plan = CutInPlan::of([$pair], [], new Levers(['OLD' => $keep]));
    $first[] = (hrtime(true) - $started) / 1e6;
    $equal = array_map(static fn(CutInDay $day): int => $day->total->tenThousandths, $plan->days) === $fromC;
    $started = hrtime(true);
    CutInPlan::of([$pair], [], new Levers(['OLD' => 2 * $keep], ['PO-1']));
    $again[] = (hrtime(true) - $started) / 1e6;
}
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
            'c_ms' => round(middle(array_map(floatval(...), $c)), 4),
            'equal' => $equal,
        ],
        [
            'name' => 'the same after a lever was moved',
            'ours_first_ms' => round($again[0], 3),
            'ours_ms' => round(middle($again), 3),
            'share_of_first_plan' => round(middle($again) / middle($first), 3),
        ],
    ],
    'peak_mb' => max($reached['peak_mb'], round(memory_get_peak_usage(true) / 1e6, 1)),
];
if ($json === '1') {
    echo json_encode($report, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE), "\n";
    exit();
}
[, $plan, $lever] = $report['questions'];
printf(
    "\n%s lines, %s demand rows\n%s: %s rows, first %.1f ms, then %.1f ms, in SQL %.1f ms: %.1f× faster, answers equal: %s\n%s: %.1f ms, in C %.2f ms: %.1f×, answers equal: %s\n%s: %.2f ms, %.1f %% of the first plan\npeak memory: %.1f MB\n",
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
    $report['peak_mb'],
);
