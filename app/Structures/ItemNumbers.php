<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Orthotaxis\Core\Numbering\NumberRule;
use Orthotaxis\Core\Refusal;

/** Gives out numbers of items by the rule of their category. */
final readonly class ItemNumbers
{
    /** So many numbers are looked up in one question. */
    private const AT_ONCE = 100;

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
        for ($first = $category->number_next; ; $first += self::AT_ONCE) {
            $numbers = [];
            for ($counter = $first; $counter < $first + self::AT_ONCE; $counter++) {
                try {
                    $numbers[$counter] = $rule->number($counter);
                } catch (Refusal $refusal) {
                    if ($numbers === []) {
                        throw $refusal;
                    }
                    break;
                }
            }
            $free = array_diff($numbers, Item::query()->whereIn('number', $numbers)->pluck('number')->all());
            if ($free !== []) {
                return [array_key_first($free), reset($free)];
            }
        }
    }
}
