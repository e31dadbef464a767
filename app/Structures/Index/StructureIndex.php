<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\LineLoader;
use App\Structures\StructureView;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Adjacency\Adjacency;
use Orthotaxis\Core\Adjacency\AmountsAbove;
use Orthotaxis\Core\Adjacency\Explosion;
use Orthotaxis\Core\Adjacency\FlatList;
use Orthotaxis\Core\Adjacency\InUse;
use Orthotaxis\Core\Adjacency\Loop;
use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Impact\Reach;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;

/**
 * The structures of one picture as they are now: the lists on this machine, and over them what has been released since they
 * were written, read from the database. So every machine gives the same answer, however old its lists are.
 */
final readonly class StructureIndex
{
    private function __construct(
        public Adjacency $adjacency,
        public Positions $positions,
        public IndexLists $lists,
        /**
         * @var array<int, array{list<int>, list<int>, list<int>}> position => what lines are read by, their identities and digests,
         * where they have changed
         */
        public array $newLines,
        private IndexState $state,
    ) {}

    public static function open(StructureView $view = new StructureView()): self
    {
        WarmIndex::afterAnswer($view);
        $state = IndexState::now($view);

        return self::over(
            new IndexLists($state->folder, $state->size),
            new Positions($state->folder, $state->size, $state->lastItem, $state->pinned),
            $state,
            $view,
        );
    }

    private static function over(IndexLists $lists, Positions $positions, IndexState $state, StructureView $view): self
    {
        $touched = array_values(array_unique($state->noted));
        if ($touched === []) {
            return new self(
                adjacency: new Adjacency($state->size, $lists, ordered: $state->ordered),
                positions: $positions,
                lists: $lists,
                newLines: [],
                state: $state,
            );
        }
        $base = new Adjacency($state->size, $lists);
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
        for ($rows = (new LineRows())->of($touched, $view), $i = 0; $i < count($rows); $i++) {
            $row = $rows[$i];
            $parent = $positions->of($row['parent']);
            $revision = PinnedNode::revision($row['component']);
            [$component, $unread] =
                $revision === null ? [$positions->of($row['component']), false] : $positions->ofRevision($revision, $row['item']);
            if ($unread && $revision !== null) {
                $changed[$component] = true;
                $down[$component] = [];
                $newLines[$component] = [[], [], []];
                array_push($rows, ...(new LineRows())->ofRevisions([$revision], $view));
            }
            $down[$parent][] = [$component, $row['quantity'], $row['span']];
            $users[$component][] = [$parent, $row['quantity'], $row['span']];
            // Its text is in no file: it is known by its number in the database, told apart by the sign.
            $newLines[$parent][0][] = -$row['line'];
            $newLines[$parent][1][] = $row['identity'];
            $newLines[$parent][2][] = $row['digest'];
        }
        foreach ($users as $component => $new) {
            $list = $base->upOf($component);
            for ($i = 2; $i < count($list); $i += 3) {
                if (!isset($changed[$list[$i]])) {
                    $users[$component][] = [$list[$i], $list[$i + 1], $list[$i + 2]];
                }
            }
        }

        return new self(
            adjacency: new Adjacency(
                $positions->end(),
                $lists,
                array_map(FlatList::of(...), $down),
                array_map(FlatList::of(...), $users),
                $state->ordered,
            ),
            positions: $positions,
            lists: $lists,
            newLines: $newLines,
            state: $state,
        );
    }

    /** @throws Refusal when something contains itself, with the way round it */
    public function whereUsed(int $item, Day $day): WhereUsed
    {
        $position = $this->positions->of($item);

        return $this->named(
            fn(): WhereUsed => WhereUsed::of(
                $this->adjacency,
                $position,
                $day->number(),
                $this->positions->pinnedOf($item),
                $this->positions->allPinned(),
                $this->positions->nodes(...),
            ),
        );
    }

    /**
     * What amounts for one of each of some items come to in one of each item that has them in it.
     *
     * @param  array<int, int>  $amounts  by id, in any unit
     * @return array{amounts: array<int, int>, above: array<int, true>} by id; of the items themselves too, and which have one in them
     *
     * @throws Refusal when something contains itself, with the way round it
     */
    public function amountsAbove(array $amounts, Day $day): array
    {
        $starts = $same = [];
        foreach ($amounts as $item => $amount) {
            $position = $this->positions->of($item);
            $starts[$position] = $amount;
            $same[$position] = $this->positions->pinnedOf($item);
        }
        $risen = $this->named(
            fn(): AmountsAbove => AmountsAbove::of($this->adjacency, $starts, $day->number(), $same, $this->positions->allPinned()),
        );
        $of = $above = [];
        foreach ($risen->amounts as $position => $amount) {
            $item = $this->positions->item($position);
            // A single revision speaks for its item where nothing else of it is reached.
            if ($this->positions->revision($position) === null) {
                $of[$item] = $amount;
            } else {
                $of[$item] ??= $amount;
            }
        }
        foreach ($risen->above as $position) {
            $above[$this->positions->item($position)] = true;
        }

        return ['amounts' => $of, 'above' => $above];
    }

    /** What is used on a day, and which single revisions count. */
    public function inUse(Day $day): InUse
    {
        return new InUse($this->adjacency, $day->number(), $this->positions->allPinned());
    }

    /** The same, when it is a large answer that was found before. */
    public function keptWhereUsed(int $item, Day $day): ?KeptAnswer
    {
        return $this->state->folder === null ? null : KeptAnswer::open($this->answerTo($item, $day));
    }

    /** Keeps a large answer for the next who asks. */
    public function keep(int $item, Day $day, WhereUsed $used): void
    {
        if ($this->state->folder !== null && count($used->parents) >= KeptAnswer::WORTH_IT) {
            KeptAnswer::keep($this->answerTo($item, $day), $used, $this->adjacency->size);
        }
    }

    /** A file for the answer to one question in this very state: another note, and it is another file. */
    private function answerTo(int $item, Day $day): string
    {
        return "{$this->state->folder}/used-{$this->state->notes()}-{$item}-{$day->number()}.bin";
    }

    /** A name for the structures as they are now: with the next release it is another one. */
    public function state(): string
    {
        return $this->state->name();
    }

    /**
     * All that is above some items on a day, each by the shortest way.
     *
     * @param  array<int>  $items  ids
     */
    public function reach(array $items, Day $day): Reach
    {
        $affected = [];
        foreach ($items as $item) {
            $affected[$this->positions->of($item)] = $this->positions->pinnedOf($item);
        }

        return Reach::of($this->adjacency, $affected, $day->number(), $this->positions->allPinned(), $this->positions->nodes(...));
    }

    /** @throws Refusal when something contains itself, with the way round it */
    public function explosion(int $item, Day $day): Explosion
    {
        return $this->named(fn(): Explosion => Explosion::of($this->adjacency, $this->positions->of($item), $day->number()));
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
            throw Refusal::at(
                'structure',
                'An item is contained in itself: ' . implode(' › ', array_map(static fn(int $id): string => $numbers[$id], $ids)) . '.',
            );
        }
    }

    /** @return array<int, int> ids of all that is sold, by position */
    public function sold(): array
    {
        $sold = [];
        foreach (DB::table('items')->where('sold', true)->pluck('id') as $id) {
            $sold[$this->positions->of($id)] = $id;
        }

        return $sold;
    }

    /**
     * @param  list<int>  $positions
     * @return array<int, string> the code of the one revision that stands at a position, where it is not whatever applies on the day
     */
    public function revisionsAt(array $positions): array
    {
        $revisions = array_filter(
            array_combine($positions, array_map($this->positions->revision(...), $positions)),
            static fn(?int $revision): bool => $revision !== null,
        );
        /** @var array<int, string> $codes */
        $codes =
            $revisions === []
                ? []
                : DB::table('revisions')->whereIntegerInRaw('id', array_values(array_unique($revisions)))->pluck('code', 'id')->all();

        return array_map(static fn(int $revision): string => $codes[$revision], $revisions);
    }

    /**
     * @param  list<int>  $lines  as lines() knows them
     * @return array<int, Line>
     */
    public function read(array $lines): array
    {
        $new = array_values(array_filter($lines, static fn(int $line): bool => $line < 0));
        $read = [];
        foreach ($new === [] ? [] : (new LineLoader())->byId(array_map(abs(...), $new)) as $id => $line) {
            $read[-$id] = $line;
        }
        $old = array_values(array_filter($lines, static fn(int $line): bool => $line >= 0));

        return $old === [] || $this->state->folder === null ? $read : $read + (new LineTexts($this->state->folder))->read($old);
    }

    /**
     * @return array{list<int>, list<int>, list<int>} what they are read by, identities and digests of the lines of an item, in the order
     * of its list
     */
    public function lines(int $position): array
    {
        return $this->newLines[$position] ?? ($this->lists->lines($position >> Adjacency::BLOCK)[$position] ?? [[], [], []]);
    }
}
