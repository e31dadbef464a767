<?php

declare(strict_types=1);

namespace App\ItemData;

use App\Orders\Contents\ContentKind;
use App\Orders\Models\ChangeOrder;
use App\Orders\Models\WorkRecord;
use App\Structures\Models\Content as ContentRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\ItemData\ItemData;
use Orthotaxis\Core\ItemData\SetField;
use Orthotaxis\Core\Revision\RevisionStatus;

/** What is known of items besides what they are made of, a row a field. */
final readonly class ItemDataContents implements ContentKind
{
    public const NAME = Subject::ITEM_DATA;

    public function __construct(private RetiredUses $uses) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function none(): ItemData
    {
        return new ItemData();
    }

    /**
     * @param  list<int>  $ids  of contents
     * @return array<int, ItemData> by id
     */
    public function read(array $ids): array
    {
        return array_map(
            static fn(array $values): ItemData => new ItemData($values),
            DB::table('item_data')
                ->whereIn('content_id', $ids)
                ->get()
                ->groupBy('content_id')
                ->map(static fn(Collection $rows): array => $rows->pluck('value', 'field')->all())
                ->all(),
        );
    }

    public function edit(string $name, int $version, string $part, array $fields): Edit
    {
        return $name === SetField::NAME
            ? SetField::kept($part, $fields)
            : throw new \LogicException("No edit of the data of an item is called {$name}.");
    }

    /** What is retired is used nowhere any more on the day, and is not revised by the same order. */
    public function missing(Collection $records, array $works): array
    {
        $retiring = $records->filter(
            static fn(WorkRecord $record): bool => self::data($works[$record->id]->after)->isRetired() &&
                !self::data($works[$record->id]->before)->isRetired(),
        );
        $used = $this->uses->of($retiring, $works);
        $missing = [];
        foreach ($retiring as $record) {
            $missing[$record->id] = [
                ...$record->row->outcome === Outcome::Revise ? ['is retired, and gets a new revision under the same order.'] : [],
                ...isset($used[$record->id]) ? ['is retired, and still used in ' . implode('; ', $used[$record->id]) . '.'] : [],
            ];
        }

        return $missing;
    }

    public function write(array $contents): void
    {
        $rows = [];
        foreach ($contents as $id => $content) {
            foreach (self::data($content)->values as $field => $value) {
                $rows[] = ['content_id' => $id, 'field' => $field, 'value' => $value];
            }
        }
        DB::table('item_data')->whereIntegerInRaw('content_id', array_keys($contents))->delete();
        foreach (array_chunk($rows, 1_000) as $some) {
            DB::table('item_data')->insert($some);
        }
        foreach ($contents as $id => $content) {
            self::data($content)->isRetired() && self::end($id);
        }
    }

    public static function data(Content $content): ItemData
    {
        return $content instanceof ItemData ? $content : throw new \LogicException('These are not the data of an item.');
    }

    /** Nothing follows the revisions of an item that is retired: what holds of it ends on the day of the order. */
    private static function end(int $id): void
    {
        $record = ContentRecord::query()->findOrFail($id);
        ContentRecord::query()
            ->where('item_id', $record->item_id)
            ->where('kind', '!=', self::NAME)
            ->where('status', RevisionStatus::Released)
            ->update([
                'status' => RevisionStatus::Obsolete,
                'effective_to' => ChangeOrder::query()->findOrFail($record->order_id)->effective_on,
            ]);
    }
}
