<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Orthotaxis\Core\Numbering\NumberRule;

/** Gives out numbers of items by the rule of their category. */
final readonly class ItemNumbers
{
    /** What the next number would be. Nothing is given out: somebody quicker may get it. */
    public function proposed(Category $category): string
    {
        return $this->free($category)[1];
    }

    /** Draws the next number. To be called in the transaction that makes the item: two at once take turns. */
    public function draw(Category $category): string
    {
        $held = Category::query()->lockForUpdate()->findOrFail($category->id);
        [$counter, $number] = $this->free($held);
        $held->update(['number_next' => $counter + 1]);

        return $number;
    }

    /** @return array{int, string} the next counter whose number nobody has taken otherwise, and the number */
    private function free(Category $category): array
    {
        $rule = NumberRule::of($category->number_prefix, $category->number_width, $category->number_check);
        for ($counter = $category->number_next; ; $counter++) {
            $number = $rule->number($counter);
            if (! Item::query()->where('number', $number)->exists()) {
                return [$counter, $number];
            }
        }
    }
}
