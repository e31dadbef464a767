<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Models\Item;
use Orthotaxis\Core\Refusal;

/** Items that somebody names by their numbers. */
final readonly class NamedItems
{
    /**
     * @param  list<string>  $numbers
     * @return list<int>
     *
     * @throws Refusal when there is none of a number, told at the place
     */
    public static function ids(array $numbers, string $place = 'items'): array
    {
        $found = Item::query()->whereIn('number', $numbers)->pluck('id', 'number');
        $unknown = array_diff($numbers, $found->keys()->all());

        return $unknown === []
            ? $found->values()->all()
            : throw Refusal::at($place, implode(' ', array_map((new MistypedNumbers())->noSuchItem(...), $unknown)));
    }
}
