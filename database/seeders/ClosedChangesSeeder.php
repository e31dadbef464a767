<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Releases\Models\Handover;
use App\Releases\Models\HandoverEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\CutIn\Swap;
use Orthotaxis\Core\Edit\Edits;

/** About eighty changes over eighteen months, each taken from its request to closing, so that history and reports have rows. */
final class ClosedChangesSeeder extends Seeder
{
    private const WHY = [
        ['Parts list corrected after the line audit', 'defect', 'audit'],
        ['Missing line found at first assembly', 'manufacturability', 'shop_floor'],
        ['Quantity corrected after a count at kitting', 'defect', 'shop_floor'],
        ['Note for the assembler made clear', 'improvement', 'shop_floor'],
        ['Cheaper arrangement of the same parts', 'cost_saving', 'engineering'],
        ['Customer asked for easier service', 'improvement', 'field'],
        ['Supplier proposed another delivery form', 'cost_saving', 'supplier'],
        ['Requirement of the transport rules', 'regulation', 'sales'],
    ];

    private const RAISED_BY = ['jonas.weir', 'samir.bello', 'clara.fenn', 'nils.aarden', 'petra.quist', 'edda.roth'];

    public function run(): void
    {
        $story = new ChangeStory();
        $cutIns = new CutInHistory();
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(34));
        foreach (self::schedule($random) as $i => [$daysAgo, $item, $step]) {
            $series = DemoStructures::steps()[$item];
            [$title, $reason, $source] = self::WHY[$i % count(self::WHY)];
            $editor = str_starts_with($item, '3') ? 'edda.roth' : ($i % 3 === 0 ? 'samir.bello' : 'jonas.weir');
            $raisedBy = self::RAISED_BY[$i % count(self::RAISED_BY)];

            $request = $story
                ->on($daysAgo)
                ->request(
                    $raisedBy,
                    "{$title}, {$item}",
                    $reason,
                    $source,
                    $i % 2 === 0 ? 'Tarn' : 'Weir',
                    ['normal', 'normal', 'low', 'high', 'normal', 'critical'][$i % 6],
                    "{$title}. Seen on {$item}.",
                    [$item],
                );
            $story->on($daysAgo - 2)->assess($request, 'Feasible without new tools. No effect on certificates.');
            $story->decide($request, RequestState::Approved, 'Small effort, clear gain.');
            $changes = Comparison::of($series[$step], $series[$step + 1]);
            foreach (array_slice(Swap::all([[$item, $changes]]), 0, 1) as $swap) {
                $cutIns->of($request, $swap, $i % 2 === 0 ? 'Tarn' : 'Weir', CarbonImmutable::now()->addDays(16)->toDateString());
            }
            $order = $story->on($daysAgo - 4)->order($request);
            $story->plan($order, $editor, $i % 2 === 0 ? 'helen.marsh' : 'nils.aarden', 14);
            $story->name($order, $item, Outcome::Revise, $i % 4 === 0 ? Disposition::Rework : Disposition::UseUp);
            $story->open($order);
            $story->on($daysAgo - 7)->edit($order, $item, Edits::between($changes));
            $story->submit($order);
            $story->on($daysAgo - 10)->sign($order);
            $story->release($order);
            self::taken($order);
            $story->on(max(1, $daysAgo - 16 - $random->getInt(0, 14)))->close($order);
        }
        $story->backToToday();
    }

    /** @return list<array{int, string, int}> days ago, item, which of its steps; oldest first */
    private static function schedule(\Random\Randomizer $random): array
    {
        $schedule = [];
        foreach (DemoStructures::steps() as $item => $series) {
            $steps = count($series) - 1;
            for ($step = 0; $step < $steps; $step++) {
                // Spread over eighteen months, at least a month apart on one item.
                $schedule[] = [545 - intdiv(490 * $step, max(1, $steps)) - $random->getInt(0, 12), $item, $step];
            }
        }
        usort($schedule, static fn(array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);

        return $schedule;
    }

    /** The past's hand-overs were taken long ago. They were not sent in this seeding: see OpenChangesSeeder for one that is. */
    private static function taken(string $order): void
    {
        $handover = Handover::query()->whereRelation('order', 'number', $order)->firstOrFail();
        HandoverEntry::query()
            ->where('handover_id', $handover->id)
            ->update(['answer' => 'taken']);
        $handover->update(['state' => 'taken', 'answered_at' => now()]);
        $handover->latestMessage()->update(['delivered_at' => now(), 'tries' => 1]);
    }
}
