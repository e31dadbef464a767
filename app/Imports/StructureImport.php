<?php

declare(strict_types=1);

namespace App\Imports;

use App\People\Models\Person;
use App\Structures\MistypedNumbers;
use App\Structures\Models\Item;
use App\Structures\PinnedRevisions;
use App\Structures\RevisionSequences;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\FileColumn;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineReader;
use Orthotaxis\Core\Structure\StructureKind;

/**
 * Takes over structures of items that have none yet: engineering structures as the first released revision, design
 * structures as what the model says of the revision there is.
 */
final class StructureImport implements Importer
{
    private const AT_ONCE = 2_000;

    /** So many items are remembered from block to block. */
    private const REMEMBERED = 20_000;

    /**
     * @var array<string, array{int, string, Unit, ?int, bool}> number => id, newest released revision ('' for none), unit, newest
     * revision of any status, whether that has design lines
     */
    private array $items = [];

    /** @var array<string, int> what Line::below says => revision */
    private array $pinned = [];

    private readonly StagedLines $lines;

    private readonly MistypedNumbers $mistyped;

    private readonly NamedRevisionRows $named;

    public function __construct(private readonly StructureKind $kind = StructureKind::Engineering)
    {
        $this->mistyped = new MistypedNumbers();
        $this->named = new NamedRevisionRows();
        $this->lines = new StagedLines();
    }

    public static function columns(): array
    {
        return array_column(FileColumn::cases(), 'value');
    }

    public static function needed(): array
    {
        return array_column(FileColumn::needed(), 'value');
    }

    public function check(iterable $rows, Faults $faults): void
    {
        foreach (self::blocks($rows) as $block) {
            $this->learn($block);
            foreach ($block as $number => $row) {
                if (self::ofNamedRevision($row)) {
                    $this->named->row($number, $row, $faults);
                } else {
                    $this->checkRow($number, $row, $faults);
                }
            }
        }
        $this->named->compare($this->kind, $faults);
        $this->lines->refuseRepeated($faults);
        if ($this->kind === StructureKind::Engineering) {
            $this->lines->refuseUnreleased($faults);
        }
        $this->lines->refuseLoop($faults);
        if ($this->lines->count() === 0 && $faults->count === 0) {
            throw Refusal::at('file', 'The file has no lines.');
        }
    }

    public function write(Person $by, Day $firstDay): string
    {
        $structures = 0;
        for ($last = 0; ($parents = $this->lines->parentsAfter($last)) !== []; $last = max($parents)) {
            $structures += count($parents);
            $this->kind === StructureKind::Engineering ? self::firstRevisions($parents, $firstDay) : self::designs($parents);
        }
        $this->lines->write($this->kind);
        $released = ['status' => 'released', 'released_by' => $by->id, 'released_at' => CarbonImmutable::now()];
        for ($last = 0; ($parents = $this->lines->parentsAfter($last)) !== []; $last = max($parents)) {
            $of = DB::table('contents')->where('kind', $this->kind->value)->whereIn('item_id', $parents);
            if ($this->kind === StructureKind::Design) {
                self::endOlderDesigns($parents);
                // What is drawn for a revision in work waits for its release.
                DB::table('contents')
                    ->where('kind', 'design')
                    ->whereIn('item_id', $parents)
                    ->where('status', 'in_review')
                    ->whereNull('effective_from')
                    ->update(['status' => 'in_work']);
            }
            $of->where('status', 'in_review')->update($released);
        }

        return "{$structures} structures with {$this->lines->count()} lines";
    }

    /**
     * Not released yet.
     *
     * @param  list<int>  $parents
     */
    private static function firstRevisions(array $parents, Day $firstDay): void
    {
        $sequences = new RevisionSequences();
        $codes = Item::query()
            ->with('category')
            ->whereIn('id', $parents)
            ->get()
            ->mapWithKeys(static fn(Item $item): array => [$item->id => $sequences->of($item)->first()]);
        DB::table('contents')->insert(
            array_map(
                static fn(int $parent): array => [
                    'item_id' => $parent,
                    'code' => $codes[$parent],
                    'status' => 'in_review',
                    'effective_from' => (string) $firstDay,
                    'reason' => 'First release, taken over',
                ],
                $parents,
            ),
        );
    }

    /**
     * What the model says of the newest revision of each, from the day on which that holds.
     *
     * @param  list<int>  $parents
     */
    private static function designs(array $parents): void
    {
        DB::insert(
            "INSERT INTO contents (item_id, kind, builds_id, code, status, effective_from, effective_to, reason)
            SELECT DISTINCT ON (item_id) item_id, 'design', id, code, 'in_review', effective_from, effective_to, 'Taken over from the model'
            FROM revisions WHERE item_id = ANY (?::bigint[]) ORDER BY item_id, id DESC",
            ['{' . implode(',', $parents) . '}'],
        );
    }

    /**
     * The model of an earlier revision holds until that of the newer begins.
     *
     * @param  list<int>  $parents
     */
    private static function endOlderDesigns(array $parents): void
    {
        DB::update(
            "UPDATE contents older SET status = 'superseded', effective_to = newer.effective_from FROM contents newer
            WHERE older.item_id = ANY (?::bigint[]) AND older.kind = 'design' AND older.status = 'released'
                AND newer.item_id = older.item_id AND newer.kind = 'design' AND newer.status = 'in_review' AND newer.effective_from IS NOT NULL",
            ['{' . implode(',', $parents) . '}'],
        );
    }

    /** Why the structure of an item cannot be taken over; null when it can. */
    private function refused(string $number): ?string
    {
        [, $released, , $newest, $drawn] = $this->items[$number];

        return match (true) {
            $this->kind === StructureKind::Engineering => $released === ''
                ? null
                : "{$number} is released as revision {$released}: change it under an order.",
            $newest === null => "{$number} has no revision that a model could belong to.",
            $drawn => "The newest revision of {$number} has a design structure already, and that never changes.",
            default => null,
        };
    }

    /** @param  array<string, string>  $row */
    private function checkRow(int $number, array $row, Faults $faults): void
    {
        $parent = $this->items[$row['parent']] ?? null;
        if ($parent === null) {
            $faults->add(
                $number,
                'parent',
                $row['parent'] === '' ? 'Name the parent by its item number.' : $this->mistyped->noSuchItem($row['parent']),
            );
        } elseif (($refused = $this->refused($row['parent'])) !== null) {
            $faults->add($number, 'parent', $refused);
        }
        try {
            $line = (new LineReader())->read(self::key($row), FileColumn::fieldsOf($row));
        } catch (Refusal $refusal) {
            foreach ($refusal->reasons as $field => $reason) {
                $faults->add($number, $field, $reason);
            }

            return;
        }
        $component = $this->items[$line->component] ?? null;
        if ($component === null) {
            $faults->add($number, 'component', $this->mistyped->noSuchItem($line->component));
        }
        if ($parent === null || $component === null) {
            return;
        }
        if (!$line->unit->measuresLike($component[2])) {
            $faults->add(
                $number,
                'unit',
                "{$line->component} is counted in {$component[2]->value}; {$line->unit->value} does not measure the same.",
            );
        }
        if ($line->revision !== null) {
            if (!isset($this->pinned[$line->below()])) {
                $faults->add($number, 'revision', "{$line->component} has no released revision {$line->revision}.");
            }
        }
        $named = ($row['line'] ?? '') !== '';
        if ($named && !Str::isUuid($row['line'])) {
            $faults->add($number, 'line', 'The identity of a line is a UUID. Leave it empty for a new line.');
        }
        $pinned = $line->revision === null ? null : $this->pinned[$line->below()] ?? null;
        $this->lines->add($number, $parent[0], $row['parent'], $line, $component[0], $pinned, $named);
    }

    /**
     * Looks up the items and the revisions that some rows name.
     *
     * @param  array<int, array<string, string>>  $rows
     */
    private function learn(array $rows): void
    {
        if (count($this->items) + count($this->pinned) > self::REMEMBERED) {
            $this->items = $this->pinned = [];
        }
        $numbers = $named = [];
        foreach ($rows as $row) {
            $revision = trim($row['revision'] ?? '');
            if ($revision !== '' && !isset($this->pinned[Line::pinned($row['component'], $revision)])) {
                $named[] = [$row['component'], $revision];
            }
            foreach ([$row['parent'], $row['component']] as $number) {
                if (!isset($this->items[$number])) {
                    $numbers[$number] = true;
                }
            }
        }
        $this->pinned += PinnedRevisions::named($named);
        $rows = DB::select(
            "SELECT i.number, i.id, i.unit, released.code, newest.id AS newest,
                EXISTS (SELECT 1 FROM contents d WHERE d.builds_id = newest.id AND d.kind = 'design') AS drawn
            FROM items i LEFT JOIN revisions released ON released.item_id = i.id AND released.status = 'released'
            LEFT JOIN LATERAL (SELECT id FROM revisions r WHERE r.item_id = i.id ORDER BY id DESC LIMIT 1) newest ON true
            WHERE i.number IN (SELECT jsonb_array_elements_text(?::jsonb))",
            [json_encode(array_map(strval(...), array_keys($numbers)))],
        );
        foreach ($rows as $item) {
            $this->items[$item->number] = [$item->id, $item->code ?? '', Unit::from($item->unit), $item->newest, $item->drawn];
        }
    }

    /**
     * @param  iterable<int, array<string, string>>  $rows
     * @return \Generator<int, array<int, array<string, string>>>
     */
    private static function blocks(iterable $rows): \Generator
    {
        $block = [];
        foreach ($rows as $number => $row) {
            $block[$number] = $row;
            if (count($block) === self::AT_ONCE) {
                yield $block;
                $block = [];
            }
        }
        yield $block;
    }

    /**
     * Whether the row is of one revision that a line of the file names, and not of a structure to be taken over.
     *
     * @param  array<string, string>  $row
     */
    private static function ofNamedRevision(array $row): bool
    {
        return ($row[FileColumn::ParentRevision->value] ?? '') !== '';
    }

    /** @param  array<string, string>  $row */
    private static function key(array $row): string
    {
        $key = $row['line'] ?? '';

        return Str::isUuid($key) ? $key : (string) Str::uuid7();
    }
}
