<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;

/**
 * What Tarn and Weir build: the structures of demo/structures.txt at operations. Weir takes all of the pump head over, some of it by a kit,
 * with millimetres of tube where engineering says metres and offcuts that come out, and leaves out a document on record; Tarn has not taken
 * over its grease.
 */
final class DemoPlants
{
    private const IN_BOTH_PLANTS = ['200-0010', '200-0020', '110-0002'];

    private const PUMP_HEAD = '200-0010';

    private const KIT = '200-0090';

    private const GREASE = '710-0001';

    private const OFFCUTS = '790-0001';

    /**
     * @param  Collection<string, Item>  $items  by number
     * @param  Collection<int, int>  $revisions  of each item, the one that plants build
     * @param  Collection<int, int>  $first  of each item, the one that lines name where they name one
     */
    public function __construct(private Collection $items, private Collection $revisions, private Collection $first) {}

    /** @return list<array<string, mixed>> rows of structure_lines; the contents that they stand in are made */
    public function lines(): array
    {
        $rows = [];
        foreach (DemoStructures::now() as $parent => $structure) {
            $main = self::plant($parent);
            foreach ([$main, ...in_array($parent, self::IN_BOTH_PLANTS, true) ? [$main === 'Weir' ? 'Tarn' : 'Weir'] : []] as $plant) {
                foreach ($structure as $line) {
                    // The second plant fits the same parts in one operation less.
                    $operation =
                        $plant !== $main
                            ? 10 + intdiv($line->find, 60) * 10
                            : ($line->notModelled
                                ? 90
                                : 10 + intdiv($line->find, 40) * 10);
                    foreach ($this->built($parent, $plant, $line, $operation) as [$find, $component, $fields]) {
                        $rows[] = $this->row($parent, $plant, $line, ['find' => (string) $find, 'component' => $component] + $fields);
                    }
                }
            }
        }

        return [...$rows, ...$this->kit()];
    }

    /** @return list<array{int, string, array<value-of<LineField>, string>}> find number, component and what else is another */
    private function built(string $parent, string $plant, Line $line, int $operation): array
    {
        $takes = ['operation' => (string) $operation, 'takes_over' => $line->key];
        $same = [[$line->find, $line->component, $takes]];
        if ($parent !== self::PUMP_HEAD) {
            return $same;
        }
        if ($plant === 'Tarn') {
            return $line->component === self::GREASE ? [] : $same;
        }

        return match ($line->component) {
            // Two screws hold the housing while the rotor goes in; the kit has the other four, and the ring.
            '600-0014' => [
                [$line->find, $line->component, ['quantity' => '2'] + $takes],
                [$line->find + 5, self::KIT, ['quantity' => '1', 'operation' => '30', 'takes_over' => '']],
            ],
            '600-0082', '820-0001' => [],
            '200-0040' => [
                [$line->find, $line->component, ['quantity' => '500', 'unit' => 'mm', 'scrap' => '4'] + $takes],
                [
                    $line->find + 5,
                    self::OFFCUTS,
                    ['quantity' => '15', 'unit' => 'mm', 'by_product' => 'yes', 'notes' => '', 'takes_over' => ''] + $takes,
                ],
            ],
            default => $same,
        };
    }

    /** @return list<array<string, mixed>> */
    private function kit(): array
    {
        $rows = [];
        foreach (['600-0014' => '4', '600-0082' => '1'] as $component => $quantity) {
            $line = new Line('', 10 + count($rows) * 10, $component, Quantity::parse($quantity), Unit::Piece);
            $rows[] = $this->row(self::KIT, 'Weir', $line, []);
        }
        $document = null;
        foreach (DemoStructures::now()[self::PUMP_HEAD] as $line) {
            $document = $line->component === '820-0001' ? $line->key : $document;
        }
        DB::table('line_records')->insert([
            'content_id' => $this->content(self::PUMP_HEAD, 'Weir'),
            'line_key' => $document,
            'reason' => 'Shown on the screen of the work place; not issued with the parts.',
        ]);

        return $rows;
    }

    /**
     * @param  array<value-of<LineField>, string>  $fields  in which the plant's line is another than engineering's
     * @return array<string, mixed>
     */
    private function row(string $parent, string $plant, Line $line, array $fields): array
    {
        $line = $line->with(array_diff_key($fields, ['designators' => true]) + (isset($fields['quantity']) ? ['designators' => ''] : []));
        $pinned = $line->revision === null ? null : $this->first[$this->items[$line->component]->id];

        return [
            'content_id' => $this->content($parent, $plant),
            ...StructureLine::columns($line, $this->items[$line->component]->id, $pinned),
            'line_key' => (string) Str::uuid7(),
        ];
    }

    /** @return int the content of what a plant builds of an item */
    private function content(string $parent, string $plant): int
    {
        $item = $this->items[$parent]->id;

        return Content::query()->firstOrCreate(
            ['item_id' => $item, 'kind' => 'manufacturing', 'plant' => $plant],
            [
                'builds_id' => $this->revisions[$item],
                'code' => 'A',
                'reason' => 'First release',
                'created_at' => CarbonImmutable::today()->subDays(900),
            ],
        )->id;
    }

    private static function plant(string $parent): string
    {
        return in_array(substr($parent, 0, 3), ['200', '300', '310'], true) ? 'Weir' : 'Tarn';
    }
}
