<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\StructureView;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\FlatList;

/** Writes the lists of one picture of the product anew, as the database has them at this moment. */
final class BuildIndex
{
    /** @var array<int, list<array{int, int, int, int, int, int}>> parent => component, quantity, span, line, identity, digest */
    private array $lines = [];

    /** @var array<int, int> revision that some line names => its item */
    private array $pinned = [];

    /** @var array<int, int> component => how many lines name it */
    private array $uses = [];

    public function __construct(private readonly LineRows $rows) {}

    /** @return int how many lines the index has */
    public function __invoke(StructureView $view): int
    {
        $this->lines = $this->uses = $this->pinned = [];
        $folder = new IndexFolder($view);
        $path = $folder->begin();
        $texts = new LineTexts($path);
        [$known, $count] = DB::transaction(function () use ($view, $texts): array {
            if (DB::transactionLevel() === 1) {
                DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
            }
            // Whatever was committed before this is in the snapshot; everything else is noted with a transaction from here on.
            $known = (int) DB::scalar('SELECT pg_snapshot_xmin(pg_current_snapshot())::text::bigint');
            $count = 0;
            foreach ($this->rows->all($view) as $row) {
                $this->lines[$row['parent']][] = [
                    $row['component'],
                    $row['quantity'],
                    $row['span'],
                    $texts->write($row['text']),
                    $row['identity'],
                    $row['digest'],
                ];
                $this->uses[$row['component']] = ($this->uses[$row['component']] ?? 0) + 1;
                if ($row['component'] >= PinnedNode::BASE) {
                    $this->pinned[$row['component'] - PinnedNode::BASE] = $row['item'];
                }
                $count++;
            }

            return [$known, $count];
        });

        [$items, $ordered] = $this->topological();
        $this->write($path, $items);
        IndexFolder::write($path, IndexFolder::MANIFEST, [
            'known' => $known,
            'database' => self::database(),
            'size' => count($items),
            'last_item' => max([0, ...self::items($items)]),
            'pinned' => $this->pinned,
            'ordered' => $ordered,
            'lines' => $count,
            'built_at' => time(),
        ]);
        $folder->offer($path);
        $this->lines = $this->uses = [];

        return $count;
    }

    /** Which database it is: a copy restored elsewhere counts its transactions anew. */
    public static function database(): string
    {
        return (string) DB::scalar(
            "SELECT (SELECT system_identifier FROM pg_control_system()) || '/' || oid FROM pg_database WHERE datname = current_database()",
        );
    }

    /**
     * Every item before all it is made of, those without lines last.
     *
     * @return array{list<int>, bool} item by position; whether there is such an order (over all days together there may be none)
     */
    private function topological(): array
    {
        $waiting = $this->uses;
        $order = [];
        foreach ($this->lines as $parent => $lines) {
            if (!isset($waiting[$parent])) {
                $order[] = $parent;
            }
        }
        $leaves = [];
        for ($i = 0; $i < count($order); $i++) {
            foreach ($this->lines[$order[$i]] as [$component]) {
                if (--$waiting[$component] === 0) {
                    if (isset($this->lines[$component])) {
                        $order[] = $component;
                    } else {
                        $leaves[] = $component;
                    }
                }
            }
        }
        $left = array_keys(array_filter($waiting));

        return [[...$order, ...$leaves, ...$left], $left === []];
    }

    /** @param  list<int>  $items  by position */
    private function write(string $path, array $items): void
    {
        $positions = array_flip($items);
        $up = [];
        $blocks = (count($items) + (1 << Adjacency::BLOCK) - 1) >> Adjacency::BLOCK;
        for ($block = 0; $block < $blocks; $block++) {
            $own = array_slice($items, $block << Adjacency::BLOCK, 1 << Adjacency::BLOCK, true);
            $own = array_combine(range($block << Adjacency::BLOCK, ($block << Adjacency::BLOCK) + count($own) - 1), $own);
            $down = $compared = [];
            foreach ($own as $position => $item) {
                $list = [];
                foreach ($this->lines[$item] ?? [] as [$component, $quantity, $span, $line, $identity, $digest]) {
                    $to = $positions[$component];
                    $list[] = [$to, $quantity, $span];
                    $up[$to][] = [$position, $quantity, $span];
                    $compared[$position][0][] = $line;
                    $compared[$position][1][] = $identity;
                    $compared[$position][2][] = $digest;
                }
                if ($list !== []) {
                    $down[$position] = FlatList::of($list);
                }
            }
            IndexFolder::write($path, "down-{$block}", $down);
            IndexFolder::write($path, "lines-{$block}", $compared);
            IndexFolder::write($path, "items-{$block}", $own);
        }
        for ($block = 0; $block < $blocks; $block++) {
            $lists = [];
            for (
                $position = $block << Adjacency::BLOCK, $end = min(count($items), ($block + 1) << Adjacency::BLOCK);
                $position < $end;
                $position++
            ) {
                if (isset($up[$position])) {
                    $lists[$position] = FlatList::of($up[$position]);
                    unset($up[$position]);
                }
            }
            IndexFolder::write($path, "up-{$block}", $lists);
        }
        $last = max([0, ...self::items($items)]) >> Adjacency::BLOCK;
        $byId = $items === [] ? [] : array_fill(0, $last + 1, []);
        foreach ($positions as $item => $position) {
            $byId[$item >> Adjacency::BLOCK][$item] = $position;
        }
        foreach ($byId as $block => $own) {
            IndexFolder::write($path, "positions-{$block}", $own);
        }
    }

    /**
     * @param  list<int>  $nodes
     * @return list<int> those that are items
     */
    private static function items(array $nodes): array
    {
        return array_values(array_filter($nodes, static fn(int $node): bool => $node < PinnedNode::BASE));
    }
}
