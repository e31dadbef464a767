<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Quantity\Minutes;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\RunPer;

/** Routings, as they are kept with what plants build. */
final readonly class RoutingsOfContents
{
    /**
     * Asked a fixed number of times.
     *
     * @param  list<int>  $contents  ids
     * @return array<int, Routing> by content, of those that have one
     */
    public function read(array $contents): array
    {
        $ids = '{' . implode(',', $contents) . '}';
        $items = [];
        $rows = DB::select(
            'SELECT o.content_id, o.operation_key, o.role, i.number FROM operation_items o JOIN items i ON i.id = o.item_id
            WHERE o.content_id = ANY (?::bigint[]) ORDER BY o.role, o.position',
            [$ids],
        );
        foreach ($rows as $row) {
            $items[$row->content_id][$row->operation_key][$row->role][] = $row->number;
        }
        $operations = [];
        foreach (DB::select('SELECT * FROM operations WHERE content_id = ANY (?::bigint[])', [$ids]) as $row) {
            $named = $items[$row->content_id][$row->key] ?? [];
            $operations[$row->content_id][] = new Operation(
                key: $row->key,
                number: $row->number,
                title: $row->title,
                workCentre: $row->work_centre,
                setUp: new Minutes($row->set_up),
                run: new Minutes($row->run),
                per: RunPer::from($row->per),
                supplier: $row->supplier,
                cost: $row->cost === null ? null : Money::ofTenThousandths($row->cost),
                leadTime: $row->lead_time,
                instruction: $named['instruction'][0] ?? '',
                tools: $named['tool'] ?? [],
                inspection: $row->inspection,
                specification: $named['specification'][0] ?? '',
            );
        }
        $routings = [];
        foreach (DB::select('SELECT content_id, batch FROM routings WHERE content_id = ANY (?::bigint[])', [$ids]) as $row) {
            $routings[$row->content_id] = new Routing($operations[$row->content_id] ?? [], Quantity::ofMillionths($row->batch));
        }

        return $routings;
    }

    /** What its operations refer to is there by now, be it released with it. */
    public function write(int $content, Routing $routing): void
    {
        DB::table('operations')->where('content_id', $content)->delete();
        DB::table('routings')->where('content_id', $content)->delete();
        if (count($routing) === 0) {
            return;
        }
        DB::table('routings')->insert(['content_id' => $content, 'batch' => $routing->batch->millionths]);
        $numbers = array_merge(...array_map(static fn(Operation $one): array => $one->refersTo(), array_values($routing->operations)));
        $ids = Item::query()->whereIn('number', array_unique($numbers))->pluck('id', 'number')->all();
        $rows = $named = [];
        foreach ($routing as $operation) {
            $rows[] = self::row($content, $operation);
            foreach (
                ['instruction' => [$operation->instruction], 'tool' => $operation->tools, 'specification' => [$operation->specification]]
                as $role => $of
            ) {
                foreach (array_filter($of) as $position => $number) {
                    $named[] = [
                        'content_id' => $content,
                        'operation_key' => $operation->key,
                        'role' => $role,
                        'position' => $position,
                        'item_id' => $ids[$number],
                    ];
                }
            }
        }
        DB::table('operations')->insert($rows);
        DB::table('operation_items')->insert($named);
    }

    /** @return array<string, int|string|null> */
    private static function row(int $content, Operation $operation): array
    {
        return [
            'content_id' => $content,
            'key' => $operation->key,
            'number' => $operation->number,
            'title' => $operation->title,
            'work_centre' => $operation->workCentre,
            'set_up' => $operation->setUp->thousandths,
            'run' => $operation->run->thousandths,
            'per' => $operation->per->value,
            'supplier' => $operation->supplier,
            'cost' => $operation->cost?->tenThousandths,
            'lead_time' => $operation->leadTime,
            'inspection' => $operation->inspection,
        ];
    }
}
