<?php

declare(strict_types=1);

namespace App\Structures\Index;

use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\Explosion;
use Orthotaxis\Core\Adjacency\FlatList;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\StructureKind;

/**
 * The structures of one kind as they are now: the lists on this machine, and over them what has been released since they
 * were written, read from the database. So every machine gives the same answer, however old its lists are.
 */
final readonly class StructureIndex
{
    private function __construct(
        public Adjacency $adjacency,
        public Positions $positions,
        public IndexLists $lists,
        /** @var array<int, array{list<int>, list<int>, list<int>}> position => ids, identities and digests of lines, where they have changed */
        public array $newLines,
    ) {}

    public static function open(StructureKind $kind = StructureKind::Engineering): self
    {
        $folder = (new IndexFolder($kind))->current();
        /** @var array{known: int, size: int, last_item: int, ordered: bool, database: string} $manifest */
        $manifest = $folder === null ? ['known' => 0, 'size' => 0, 'last_item' => 0, 'ordered' => true, 'database' => ''] : require "{$folder}/manifest.php";
        // Asked for every question, so in one trip and not as a prepared statement, which takes three.
        $touched = DB::connection()->getPdo()->query("SELECT DISTINCT item_id FROM structure_touches WHERE xact >= {$manifest['known']}");
        $touched = array_map(intval(...), $touched === false ? [] : $touched->fetchAll(\PDO::FETCH_COLUMN));

        return self::over($folder, $manifest['size'], $manifest['last_item'], $manifest['ordered'], array_values($touched), $kind);
    }

    /** @param  list<int>  $touched  ids of items that have changed since */
    private static function over(?string $folder, int $size, int $lastItem, bool $ordered, array $touched, StructureKind $kind): self
    {
        $lists = new IndexLists($folder, $size);
        $positions = new Positions($folder, $size, $lastItem);
        if ($touched === []) {
            return new self(new Adjacency($size, $lists, ordered: $ordered), $positions, $lists, []);
        }
        $base = new Adjacency($size, $lists);
        $changed = $down = $newLines = $users = [];
        foreach ($touched as $item) {
            $parent = $positions->of($item);
            $changed[$parent] = true;
            $down[$parent] = [];
            $newLines[$parent] = [[], [], []];
            for ($i = 2, $old = $base->downOf($parent); $i < count($old); $i += 3) {
                $users[$old[$i]] ??= [];
            }
        }
        foreach ((new LineRows)->of($touched, $kind) as $row) {
            $parent = $positions->of($row['parent']);
            $component = $positions->of($row['component']);
            $down[$parent][] = [$component, $row['quantity'], $row['span']];
            $users[$component][] = [$parent, $row['quantity'], $row['span']];
            $newLines[$parent][0][] = $row['line'];
            $newLines[$parent][1][] = $row['identity'];
            $newLines[$parent][2][] = $row['digest'];
        }
        foreach ($users as $component => $new) {
            $list = $base->upOf($component);
            for ($i = 2; $i < count($list); $i += 3) {
                if (! isset($changed[$list[$i]])) {
                    $users[$component][] = [$list[$i], $list[$i + 1], $list[$i + 2]];
                }
            }
        }

        return new self(
            new Adjacency($positions->end(), $lists, array_map(FlatList::of(...), $down), array_map(FlatList::of(...), $users), $ordered),
            $positions, $lists, $newLines,
        );
    }

    /** @throws Refusal when something contains itself, with the way round it */
    public function whereUsed(int $item, Day $day): WhereUsed
    {
        return $this->named(fn (): WhereUsed => WhereUsed::of($this->adjacency, $this->positions->of($item), $day->number()));
    }

    /** @throws Refusal when something contains itself, with the way round it */
    public function explosion(int $item, Day $day): Explosion
    {
        return $this->named(fn (): Explosion => Explosion::of($this->adjacency, $this->positions->of($item), $day->number()));
    }

    /**
     * @template Result
     *
     * @param  \Closure(): Result  $walk
     * @return Result
     */
    private function named(\Closure $walk): mixed
    {
        try {
            return $walk();
        } catch (Loop $loop) {
            $ids = array_map($this->positions->item(...), $loop->way);
            $numbers = DB::table('items')->whereIn('id', $ids)->pluck('number', 'id');
            throw Refusal::at('structure', 'An item is contained in itself: '.implode(' › ', array_map(static fn (int $id): string => $numbers[$id], $ids)).'.');
        }
    }

    /** @return array{list<int>, list<int>, list<int>} ids, identities and digests of the lines of an item, in the order of its list */
    public function lines(int $position): array
    {
        return $this->newLines[$position] ?? $this->lists->lines($position >> Adjacency::BLOCK)[$position] ?? [[], [], []];
    }
}
