<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Models\Category;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Manufacturing\CategoryWay;

/** How plants take over components, by what their categories say, or those that they stand under. */
final readonly class CategoryWays
{
    /**
     * Asked twice, for all of them.
     *
     * @param  list<string>  $components  numbers
     * @return array<string, CategoryWay> by number; of the others nothing is said
     */
    public static function of(array $components): array
    {
        if ($components === []) {
            return [];
        }
        $categories = Category::query()->get()->keyBy('id');
        $ways = [];
        foreach (DB::table('items')->whereIn('number', $components)->pluck('category_id', 'number') as $number => $id) {
            $category = $categories->get($id);
            while ($category !== null && $category->taken_over === null) {
                $category = $categories->get($category->parent_id ?? 0);
            }
            if ($category?->taken_over !== null) {
                $ways[(string) $number] = CategoryWay::of($category->name, $category->taken_over, $category->taken_over_reason);
            }
        }

        return $ways;
    }
}
