<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Orders\Contents\ContentKind;
use App\Orders\Contents\LinesOfContents;
use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Manufacturing\ManufacturingContent;
use Orthotaxis\Core\Manufacturing\PutOnRecord;
use Orthotaxis\Core\Manufacturing\TakeOffRecord;
use Orthotaxis\Core\Routing\AddOperation;
use Orthotaxis\Core\Routing\ChangeOperation;
use Orthotaxis\Core\Routing\RemoveOperation;
use Orthotaxis\Core\Routing\Routing;
use Orthotaxis\Core\Routing\SetBatch;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** What plants build of items: lines at operations, the operations, and what is on record about engineering lines. */
final readonly class ManufacturingContents implements ContentKind
{
    public const NAME = Subject::MANUFACTURING;

    public function __construct(
        private StructureReader $structures,
        private LinesOfContents $lines,
        private RecordsOfContents $records,
        private RoutingsOfContents $routings,
    ) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function none(): ManufacturingContent
    {
        return new ManufacturingContent();
    }

    /**
     * @param  list<int>  $ids  of contents
     * @return array<int, ManufacturingContent> by id
     */
    public function read(array $ids): array
    {
        $structures = $this->structures->ofContents($ids);
        $records = $this->records->read($ids);
        $routings = $this->routings->read($ids);
        $contents = [];
        foreach ($ids as $id) {
            $contents[$id] = new ManufacturingContent(
                $structures[$id] ?? new Structure(),
                $records[$id] ?? [],
                $routings[$id] ?? new Routing(),
            );
        }

        return $contents;
    }

    public function edit(string $name, int $version, string $part, array $fields): Edit
    {
        /** @var array<value-of<LineField>, string> $ofLine */
        $ofLine = $fields;

        return match ($name) {
            PutOnRecord::NAME => new PutOnRecord($part, $fields),
            TakeOffRecord::NAME => new TakeOffRecord($part),
            AddOperation::NAME => new AddOperation($part, $fields),
            ChangeOperation::NAME => new ChangeOperation($part, $fields),
            RemoveOperation::NAME => new RemoveOperation($part),
            SetBatch::NAME => new SetBatch($fields['batch'] ?? ''),
            default => EditOperation::from($name)->of($part, $ofLine),
        };
    }

    public function missing(Collection $records, array $works): array
    {
        $own = array_intersect_key($works, $records->keyBy('id')->all());

        return $this->lines->missing($records, array_map(static fn(Work $work): Structure => self::built($work->after)->structure, $own));
    }

    public function write(array $contents): void
    {
        $built = array_map(self::built(...), $contents);
        $this->lines->write(array_map(static fn(ManufacturingContent $one): Structure => $one->structure, $built));
        foreach ($built as $id => $one) {
            $this->records->write($id, array_values($one->records));
            $this->routings->write($id, $one->routing);
        }
        // What each builds: the revision that the same order releases, else the newest there is.
        DB::update(
            'UPDATE contents c SET builds_id = (
                SELECT r.id FROM revisions r WHERE r.item_id = c.item_id
                ORDER BY r.order_id IS NOT DISTINCT FROM c.order_id DESC, r.effective_from DESC NULLS LAST, r.id DESC LIMIT 1
            ) WHERE c.id = ANY (?::bigint[])',
            ['{' . implode(',', array_keys($contents)) . '}'],
        );
    }

    public static function built(Content $content): ManufacturingContent
    {
        return $content instanceof ManufacturingContent ? $content : throw new \LogicException('This is not what a plant builds.');
    }
}
