<?php

declare(strict_types=1);

namespace App\Orders\Contents;

use App\Structures\StructureReader;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\EditOperation;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Structure\LineField;
use Orthotaxis\Core\Structure\Structure;

/** What engineering declares of items: the lines of their structures. */
final readonly class EngineeringContents implements ContentKind
{
    public function __construct(private StructureReader $structures, private LinesOfContents $lines) {}

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
        $own = array_intersect_key($works, $records->keyBy('id')->all());

        return $this->lines->missing($records, array_map(static fn(Work $work): Structure => self::lines($work->after), $own));
    }

    public function write(array $contents): void
    {
        $this->lines->write(array_map(self::lines(...), $contents));
    }

    private static function lines(Content $content): Structure
    {
        return $content instanceof EngineeringContent ? $content->structure : throw new \LogicException('Engineering declares lines.');
    }
}
