<?php

declare(strict_types=1);

namespace App\Manufacturing\Files;

use App\Days\Today;
use App\Imports\BuiltImporter;
use App\Imports\Faults;
use App\Imports\Staging;
use App\Manufacturing\ManufacturingContents;
use App\People\Models\Person;
use App\Structures\Models\Content;
use App\Structures\Models\Item;
use App\Structures\RevisionSequences;
use App\Structures\StructureReader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\BuildColumn;
use Orthotaxis\Core\Manufacturing\BuildReader;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Revision\RevisionStatus;
use Orthotaxis\Core\Structure\LoopFinder;
use Orthotaxis\Core\Structure\StructureKind;

/**
 * Takes over what plants build of items that they do not build yet: structure, routing and what is on record, as the first released
 * manufacturing revision. What a plant builds already is changed under an order.
 */
final class BuiltImport implements BuiltImporter
{
    /** So many structures are looked at together, by a fixed number of questions. */
    private const AT_ONCE = 200;

    private readonly Staging $rows;

    /** @var array<string, array<int, list<int>>> plant => item => what is in it, by the file */
    private array $uses = [];

    public function __construct(
        private readonly BuiltRowsGuard $guard,
        private readonly ManufacturingContents $contents,
        private readonly RevisionSequences $sequences,
        private readonly StructureReader $structures,
    ) {
        $this->rows = new Staging('staged_builds', ['row' => 'integer', 'plant' => 'text', 'parent' => 'text', 'cells' => 'jsonb']);
    }

    public static function columns(): array
    {
        return array_column(BuildColumn::cases(), 'value');
    }

    public static function needed(): array
    {
        return BuildColumn::needed();
    }

    public function check(iterable $rows, Faults $faults): void
    {
        foreach ($rows as $number => $row) {
            $this->rows->row([$number, $row['plant'], $row['parent'], json_encode($row, JSON_THROW_ON_ERROR)]);
        }
        if (!$this->rows->filled()) {
            throw Refusal::at('file', 'The file has no rows.');
        }
        foreach ($this->builds() as $some) {
            foreach ($this->guard->faults($some) as $row => $reasons) {
                foreach ($reasons as $column => $reason) {
                    $faults->add($row, $column, $reason);
                }
            }
            $this->learnUses($some);
        }
        if ($faults->count === 0) {
            $this->refuseLoops($faults);
        }
    }

    public function write(Person $by, Day $firstDay): string
    {
        $count = 0;
        foreach ($this->builds() as $some) {
            $items = Item::query()->with('category')->whereIn('number', array_column($some, 'parent'))->get()->keyBy('number');
            foreach ($some as $build) {
                $content = Content::query()->create([
                    'item_id' => $items[$build['parent']]->id,
                    'kind' => ManufacturingContents::NAME,
                    'plant' => $build['plant'],
                    'code' => $this->sequences->of($items[$build['parent']])->first(),
                    'status' => RevisionStatus::InReview,
                    'reason' => 'First release, taken over',
                ]);
                $this->contents->write([$content->id => $build['read']->content()]);
                $content->update([
                    'status' => RevisionStatus::Released,
                    'effective_from' => (string) $firstDay,
                    'released_by' => $by->id,
                    'released_at' => CarbonImmutable::now(),
                ]);
                $count++;
            }
        }

        return "{$count} manufacturing structures with {$this->rows->count()} rows";
    }

    /**
     * Each structure whole, some at once.
     *
     * @return \Generator<int, list<array{plant: string, parent: string, first: int, read: BuildReader}>>
     */
    private function builds(): \Generator
    {
        $some = $rows = [];
        $of = null;
        foreach (DB::cursor('SELECT row, plant, parent, cells FROM staged_builds ORDER BY plant, parent, row') as $row) {
            if ($of !== null && $of !== [$row->plant, $row->parent]) {
                $some[] = self::build($of, $rows);
                $rows = [];
                if (count($some) === self::AT_ONCE) {
                    yield $some;
                    $some = [];
                }
            }
            $of = [$row->plant, $row->parent];
            $rows[$row->row] = json_decode($row->cells, true, flags: JSON_THROW_ON_ERROR);
        }
        if ($of !== null) {
            yield [...$some, self::build($of, $rows)];
        }
    }

    /**
     * @param  array{string, string}  $of  plant and parent
     * @param  non-empty-array<int, array<string, string>>  $rows
     * @return array{plant: string, parent: string, first: int, read: BuildReader}
     */
    private static function build(array $of, array $rows): array
    {
        $key = static fn(string $key): string => $key === '' ? (string) Str::uuid7() : $key;

        return ['plant' => $of[0], 'parent' => $of[1], 'first' => array_key_first($rows), 'read' => new BuildReader($rows, $key)];
    }

    /** @param  list<array{plant: string, parent: string, first: int, read: BuildReader}>  $some */
    private function learnUses(array $some): void
    {
        $numbers = array_column($some, 'parent');
        foreach ($some as $build) {
            array_push($numbers, ...array_map(static fn($line): string => $line->component, array_values($build['read']->lines())));
        }
        $ids = DB::table('items')->whereIn('number', array_unique($numbers))->pluck('id', 'number');
        foreach ($some as $build) {
            foreach ($build['read']->lines() as $line) {
                if (isset($ids[$build['parent']], $ids[$line->component])) {
                    $this->uses[$build['plant']][$ids[$build['parent']]][] = $ids[$line->component];
                }
            }
        }
    }

    /** A kit that contains itself, be it by the file alone or together with what the plant builds already. */
    private function refuseLoops(Faults $faults): void
    {
        foreach ($this->uses as $plant => $uses) {
            $all = array_values(array_unique([...array_keys($uses), ...array_merge(...array_values($uses))]));
            $below = $uses + $this->structures->componentsBelow($all, Today::day(), StructureKind::Manufacturing);
            foreach ($uses as $parent => $components) {
                foreach ($components as $component) {
                    $loop = LoopFinder::closedBy($parent, $component, $below);
                    if ($loop !== null) {
                        $names = DB::table('items')->whereIn('id', $loop)->pluck('number', 'id');
                        $row = DB::table('staged_builds')
                            ->where(['plant' => $plant, 'parent' => $names[$parent]])
                            ->min('row');
                        $faults->add(
                            (int) $row,
                            'component',
                            'A structure would contain itself: ' .
                                implode(' › ', array_map(static fn(int $id): string => $names[$id], $loop)) .
                                '.',
                        );

                        return;
                    }
                }
            }
        }
    }
}
