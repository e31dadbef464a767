<?php

declare(strict_types=1);

namespace App\Orders\Contents;

use App\Orders\Models\OrderItem;
use App\Structures\Models\Item;
use App\Structures\Models\StructureLine;
use App\Structures\PinnedRevisions;
use App\Structures\RevisionSequences;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Revision\Phase;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** What engineering declares of items: the lines of their structures. */
final readonly class EngineeringContents implements ContentKind
{
    public function __construct(private StructureReader $structures, private RevisionSequences $sequences) {}

    public function name(): string
    {
        return Subject::ENGINEERING;
    }

    public function none(): EngineeringContent
    {
        return new EngineeringContent();
    }

    public function read(array $ids): array
    {
        return array_map(
            static fn(Structure $structure): EngineeringContent => new EngineeringContent($structure),
            $this->structures->ofContents($ids),
        );
    }

    public function edit(string $name, int $version, string $part, array $fields): LineEdit
    {
        /** @var array<value-of<LineField>, string> $fields */
        return EditOperation::from($name)->of($part, $fields);
    }

    public function missing(Collection $records, array $works): array
    {
        $lines = array_map(static fn(Work $work): Structure => self::lines($work->after), $works);
        $all = array_merge(...array_map(static fn(Structure $structure): array => array_values($structure->lines), array_values($lines)));
        $numbers = array_unique(array_map(static fn(Line $line): string => $line->component, $all));
        $known = $numbers === [] ? [] : Item::query()->with('everReleased')->whereIn('number', $numbers)->get()->keyBy('number')->all();
        $pinned = PinnedRevisions::ids($all);
        $missing = [];
        foreach ($records as $record) {
            $order = $record->row->order;
            $day = $order->effective_on === null ? null : Day::parse($order->effective_on);
            // What is released for the first time under the same order is there on the same day.
            $coming = $order->items
                ->where('outcome', Outcome::Revise)
                ->keyBy(static fn(OrderItem $row): string => $row->item->number)
                ->all();
            $lacking = array_diff_key(array_filter($known, static fn(Item $item): bool => !self::isThere($item, $day)), $coming);
            $codes = [];
            foreach ($coming as $row) {
                $codes[Line::pinned($row->item->number, $this->sequences->of($row->item)->next($row->baseCode()))] = true;
            }
            $missing[$record->id] = [
                ...array_values(
                    array_filter($lines[$record->id]->components(), static fn(string $number): bool => isset($lacking[$number])),
                ),
                ...self::unresolved($lines[$record->id], $codes + $pinned),
            ];
        }

        return $missing;
    }

    public function write(int $id, Content $content): void
    {
        $structure = self::lines($content);
        StructureLine::query()->where('content_id', $id)->delete();
        $components = Item::query()->whereIn('number', $structure->components())->pluck('id', 'number')->all();
        $pinned = PinnedRevisions::ids($structure, alsoComing: true);
        StructureLine::query()->insert(
            array_values(
                array_map(
                    static fn(Line $line): array => [
                        'content_id' => $id,
                        ...StructureLine::columns(
                            $line,
                            $components[$line->component],
                            $line->revision === null ? null : $pinned[$line->below()],
                        ),
                    ],
                    $structure->lines,
                ),
            ),
        );
    }

    private static function lines(Content $content): Structure
    {
        return $content instanceof EngineeringContent ? $content->structure : throw new \LogicException('Engineering declares lines.');
    }

    /** Whether the item has a revision in force on the day; while none is said, whether it has one at all. */
    private static function isThere(Item $item, ?Day $day): bool
    {
        return $day === null ? $item->everReleased->isNotEmpty() : $item->inForce($day)->phase() === Phase::InForce;
    }

    /**
     * @param  array<string, mixed>  $known  by what Line::below says
     * @return list<string> revisions that lines name and that neither are released nor come with the order, in words
     */
    private static function unresolved(Structure $after, array $known): array
    {
        $unresolved = [];
        foreach ($after->lines as $line) {
            if ($line->revision !== null && !isset($known[$line->below()])) {
                $unresolved[$line->below()] = "{$line->component} at revision {$line->revision}";
            }
        }

        return array_values($unresolved);
    }
}
