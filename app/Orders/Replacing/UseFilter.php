<?php

declare(strict_types=1);

namespace App\Orders\Replacing;

use App\Structures\Index\StructureIndex;
use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Refusal;

/** Where a component is to be replaced: everywhere, or in parents of a product, of a category, in engineering or at a plant. */
final readonly class UseFilter
{
    private const BELOW = '
        WITH RECURSIVE below (id) AS (
            SELECT id FROM categories WHERE code = ? UNION SELECT c.id FROM below JOIN categories c ON c.parent_id = below.id)
        SELECT i.id FROM items i JOIN below ON below.id = i.category_id WHERE i.id = ANY (?::bigint[])';

    /**
     * @param  string  $product  number; empty: all
     * @param  string  $category  code, with those below it; empty: all
     * @param  string  $work  "engineering" or "manufacturing:Weir"; empty: all
     */
    public function __construct(private string $product = '', private string $category = '', private string $work = '') {}

    /**
     * @param  list<UsedIn>  $uses
     * @return list<UsedIn>
     *
     * @throws Refusal when there is no such product or category
     */
    public function of(array $uses, Day $day): array
    {
        $items = array_values(array_unique(array_map(static fn(UsedIn $use): int => $use->item, $uses)));
        $ofProduct = $this->product === '' ? null : self::below($this->product, $day);
        if ($this->category !== '' && !Category::query()->where('code', $this->category)->exists()) {
            throw Refusal::at('category', "There is no category {$this->category}.");
        }
        $ofCategory =
            $this->category === ''
                ? null
                : array_flip(array_column(DB::select(self::BELOW, [$this->category, '{' . implode(',', $items) . '}']), 'id'));

        return array_values(
            array_filter(
                $uses,
                fn(UsedIn $use): bool => ($ofProduct === null || isset($ofProduct[$use->item])) &&
                    ($ofCategory === null || isset($ofCategory[$use->item])) &&
                    ($this->work === '' || $this->work === $use->subject->work()),
            ),
        );
    }

    /**
     * @param  list<UsedIn>  $uses
     * @return list<string> "engineering", "manufacturing:Weir": all that there are
     */
    public static function works(array $uses): array
    {
        return array_values(array_unique(array_map(static fn(UsedIn $use): string => $use->subject->work(), $uses)));
    }

    /** @return array<int, true> the product and all that is in it, by id */
    private static function below(string $product, Day $day): array
    {
        $item = Item::query()->where('number', $product)->first() ?? throw Refusal::at('product', "There is no item {$product}.");
        $index = StructureIndex::open();
        $below = [$item->id => true];
        foreach (array_keys($index->explosion($item->id, $day)->totals()) as $position) {
            $below[$index->positions->item($position)] = true;
        }

        return $below;
    }
}
