<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/**
 * The first released revision of every item, with the structures of demo/structures.txt as they stood before the closed
 * changes (ClosedChanges takes them, step by step, to what the file says).
 */
final class StructureSeeder extends Seeder
{
    /** Items nobody has released yet. */
    private const IN_WORK = ['200-0041', '700-0006'];

    public function run(): void
    {
        $start = CarbonImmutable::today()->subDays(900);
        $items = Item::query()->get()->keyBy('number');
        $documents = $items->filter(static fn(Item $item): bool => $item->kind->value === 'document')->keys()->flip();
        $first = static fn(string $number): string => $documents->has($number) ? '1' : 'A';
        DB::table('revisions')->insert(
            $items
                ->map(
                    static fn(Item $item): array => [
                        'item_id' => $item->id,
                        'code' => $first($item->number),
                        'status' => 'in_work',
                        'reason' => 'First release',
                        'created_at' => $start,
                    ],
                )
                ->values()
                ->all(),
        );
        $revisions = DB::table('revisions')->pluck('id', 'item_id');

        $lines = [];
        foreach (DemoStructures::first() as $parent => $structure) {
            foreach ($structure as $line) {
                $pinned = $line->revision === null ? null : $revisions[$items[$line->component]->id];
                $lines[] = [
                    'content_id' => $revisions[$items[$parent]->id],
                    ...StructureLine::columns($line, $items[$line->component]->id, $pinned),
                ];
            }
        }
        foreach (array_chunk($lines, 500) as $chunk) {
            StructureLine::query()->insert($chunk);
        }
        $released = DB::table('contents')->whereNotIn('item_id', $items->whereIn('number', self::IN_WORK)->pluck('id'));
        $released->clone()->update(['status' => 'in_review']);
        $released->update(['status' => 'released', 'effective_from' => $start->toDateString(), 'released_at' => $start->setTime(9, 0)]);
    }
}
