<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Item;
use App\Structures\RevisionSequences;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\Quantity\Money;

/**
 * Tells the planning stand-in which items there are, and the stock and documents that the demo's stories need. All else
 * the stand-in makes up by itself. When nothing answers there, the demo goes on without.
 */
final class PlanningSeeder extends Seeder
{
    /** Items that planning has never heard of: a hand-over that names one introduces it first. */
    public const UNKNOWN = ['230-0021'];

    /** Items that planning has locked: it refuses what is said of them until it has put them in order. */
    private const LOCKED = ['200-0052'];

    public function run(): void
    {
        $changed = array_map(static fn(array $steps): int => count($steps) - 1, DemoStructures::steps());
        $sequences = new RevisionSequences();
        $items = Item::query()
            ->with('category')
            ->whereNotIn('number', self::UNKNOWN)
            ->orderBy('number')
            ->get()
            ->map(static function (Item $item) use ($changed, $sequences): array {
                $revision = $sequences->of($item)->first();
                for ($i = 0; $i < ($changed[$item->number] ?? 0); $i++) {
                    $revision = $sequences->of($item)->after($revision);
                }

                return [
                    'number' => $item->number,
                    'revision' => $revision,
                    'unit' => $item->unit->value,
                    'cost' => (string) Money::ofTenThousandths((int) $item->standard_cost),
                    'supply' => $item->supply,
                    'sold' => $item->sold,
                    'kind' => $item->kind->value,
                    'locked' => in_array($item->number, self::LOCKED, true),
                ];
            });
        Http::withToken(config()->string('orthotaxis.planning.token'))
            ->timeout(30)
            ->post(config()->string('orthotaxis.planning.url') . '/load', [
                'today' => CarbonImmutable::today()->toDateString(),
                'items' => $items,
                'rows' => self::stories(),
            ])
            ->throw();
    }

    /** @return list<array<string, ?string>> */
    private static function stories(): array
    {
        $day = static fn(int $days): string => CarbonImmutable::today()->addDays($days)->toDateString();
        $rows = [];
        $add = static function (string $item, string $unit, string $value, array $supply) use (&$rows): void {
            foreach ($supply as [$kind, $document, $revision, $quantity, $due, $place, $status]) {
                $rows[] = [
                    'kind' => $kind,
                    'document' => $document,
                    'item' => $item,
                    'revision' => $revision,
                    'quantity' => $quantity,
                    'unit' => $unit,
                    'unit_value' => $value,
                    'due' => $due,
                    'place' => $place,
                    'status' => $status,
                ];
            }
        };
        $add('200-0040', 'm', '9.80', [
            ['stock', 'LOT-20611', 'A', '146.5', null, 'Weir', 'free'],
            ['stock', 'LOT-20688', 'A', '60', null, 'Tarn', 'service stock'],
            ['purchase_order', 'PO-31207', 'A', '200', $day(18), 'Weir', 'confirmed'],
            ['purchase_order', 'PO-31344', 'A', '200', $day(62), 'Weir', 'ordered'],
            ['work_order', 'WO-8812', 'A', '20', $day(4), 'Weir', 'started'],
        ]);
        $add('200-0041', 'm', '12.60', [
            ['stock', 'LOT-20930', 'A', '12', null, 'Weir', 'trial lot'],
            ['purchase_order', 'PO-31390', 'A', '100', $day(24), 'Weir', 'confirmed'],
        ]);
        $add('230-0020', 'm', '5.20', [
            ['stock', 'LOT-18820', 'A', '1240', null, 'Tarn', 'free'],
            ['purchase_order', 'PO-30870', 'A', '600', $day(41), 'Tarn', 'confirmed'],
        ]);
        $add('310-0002', 'pc', '1.35', [
            ['stock', 'LOT-17702', 'A', '2150', null, 'Weir', 'free'],
            ['purchase_order', 'PO-30911', 'A', '1500', $day(30), 'Weir', 'last-time buy'],
        ]);

        return $rows;
    }
}
