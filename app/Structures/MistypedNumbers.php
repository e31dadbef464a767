<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Category;
use App\Structures\Models\Item;
use Orthotaxis\Core\Numbering\NumberRule;

/** Why there is no item of a number that somebody typed: by its check digit it is mistyped, and something else was likely meant. */
final class MistypedNumbers
{
    /** So many likely numbers are named. */
    private const NAMED = 3;

    /** @var ?list<NumberRule> */
    private ?array $rules = null;

    /** In words, for a place where a number was typed: "There is no item 310-0012-4. …" */
    public function noSuchItem(string $number): string
    {
        $slip = $this->slip($number);

        return "There is no item {$number}." . ($slip === null ? '' : " {$slip}");
    }

    /** What is wrong with a number by its check digit, and what was likely meant; null when nothing is wrong with it. */
    public function slip(string $number): ?string
    {
        foreach ($this->rules() as $rule) {
            if (!$rule->isMistyped($number)) {
                continue;
            }
            $likely = $rule->likely($number);
            $known = Item::query()
                ->whereIn('number', array_map(strval(...), array_keys($likely)))
                ->orderBy('number')
                ->limit(self::NAMED)
                ->pluck('number')
                ->all();
            $named = array_map(
                static fn(string $one): string => "{$one} (differs at character {$likely[$one]})",
                array_map(strval(...), $known),
            );

            return 'Its check digit does not fit: a digit is mistyped, or two are swapped.' .
                ($named === [] ? '' : ' Likely meant: ' . implode(', ', $named) . '.');
        }

        return null;
    }

    /** @return list<NumberRule> those with a check digit, each once */
    private function rules(): array
    {
        return $this->rules ??= array_values(
            Category::query()
                ->where('number_check', true)
                ->distinct()
                ->orderBy('number_prefix')
                ->orderBy('number_width')
                ->get(['number_prefix', 'number_width', 'number_check'])
                ->map(static fn(Category $one): NumberRule => NumberRule::of($one->number_prefix, $one->number_width, true))
                ->all(),
        );
    }
}
