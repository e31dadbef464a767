<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;

/**
 * The first released revision of every item, with the structures of demo/structures.txt as they stood before the closed
 * changes (ClosedChanges takes them, step by step, to what the file says), and manufacturing structures beside them.
 */
final class StructureSeeder extends Seeder
{
    private const IN_BOTH_PLANTS = ['200-0010', '200-0020'];

    /** Items nobody has released yet. */
    private const IN_WORK = ['200-0041', '700-0006'];

    /** Tools of operations: parent, tool, operation. */
    private const TOOLS = [
        ['200-0010', '900-0001', 20],
        ['200-0010', '900-0002', 20],
        ['200-0030', '900-0001', 10],
        ['230-0001', '900-0003', 10],
    ];

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
            $revision = $revisions[$items[$parent]->id];
            $main = self::built($items[$parent]->id, $revision, self::plant($parent), $first($parent));
            // The second plant fits the same parts in one operation less.
            $other = in_array($parent, self::IN_BOTH_PLANTS, true)
                ? self::built($items[$parent]->id, $revision, self::plant($parent) === 'Weir' ? 'Tarn' : 'Weir', $first($parent))
                : null;
            foreach ($structure as $line) {
                $columns = StructureLine::columns(
                    $line,
                    $items[$line->component]->id,
                    $line->revision === null ? null : $revisions[$items[$line->component]->id],
                );
                $lines[] = ['content_id' => $revision, ...$columns];
                if ($other !== null) {
                    $lines[] = [
                        'content_id' => $other,
                        ...$columns,
                        'line_key' => (string) Str::uuid7(),
                        'operation' => 10 + intdiv($line->find, 60) * 10,
                    ];
                }
                $lines[] = [
                    'content_id' => $main,
                    ...$columns,
                    'line_key' => (string) Str::uuid7(),
                    'operation' => $line->notModelled ? 90 : 10 + intdiv($line->find, 40) * 10,
                ];
            }
        }
        foreach (self::TOOLS as [$parent, $tool, $operation]) {
            $lines[] = [
                'content_id' => self::built($items[$parent]->id, $revisions[$items[$parent]->id], self::plant($parent), $first($parent)),
                ...StructureLine::columns(
                    new Line((string) Str::uuid7(), 900 + (count($lines) % 90), $tool, Quantity::one(), Unit::Piece, operation: $operation),
                    $items[$tool]->id,
                ),
            ];
        }
        foreach (array_chunk($lines, 500) as $chunk) {
            StructureLine::query()->insert($chunk);
        }
        $released = DB::table('contents')->whereNotIn('item_id', $items->whereIn('number', self::IN_WORK)->pluck('id'));
        $released->clone()->update(['status' => 'in_review']);
        $released->update(['status' => 'released', 'effective_from' => $start->toDateString(), 'released_at' => $start->setTime(9, 0)]);
    }

    /** @return int the content of what a plant builds for the first revision of an item */
    private static function built(int $item, int $revision, string $plant, string $code): int
    {
        $subject = ['item_id' => $item, 'kind' => 'manufacturing', 'plant' => $plant];

        return Content::query()->firstOrCreate($subject, [
            'builds_id' => $revision,
            'code' => $code,
            'reason' => 'First release',
            'created_at' => CarbonImmutable::today()->subDays(900),
        ])->id;
    }

    private static function plant(string $parent): string
    {
        return in_array(substr($parent, 0, 3), ['200', '300', '310'], true) ? 'Weir' : 'Tarn';
    }
}
