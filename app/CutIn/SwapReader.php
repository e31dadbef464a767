<?php

declare(strict_types=1);

namespace App\CutIn;

use App\Structures\Models\Item;
use App\Structures\NamedItems;
use Illuminate\Support\Collection;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** Reads the swaps that a question names. */
final readonly class SwapReader
{
    /**
     * @param  array<array-key, mixed>  $swaps  as AsksCutIn checks them
     * @return array{non-empty-list<AskedSwap>, Collection<string, Item>} the swaps; all parts that go or come, by number
     *
     * @throws Refusal at the swap that cannot be planned
     */
    public static function read(array $swaps): array
    {
        /** @var list<array{gone?: list<string>, come?: list<array{item: string, ratio?: ?string}>, parents?: ?list<string>}> $swaps */
        $numbers = [];
        foreach ($swaps as $swap) {
            array_push($numbers, ...$swap['gone'] ?? [], ...array_column($swap['come'] ?? [], 'item'));
        }
        $items = Item::query()->whereIn('number', array_values(array_unique($numbers)))->get()->keyBy('number')->toBase();
        $asked = [];
        foreach (array_values($swaps) as $at => $swap) {
            $gone = $swap['gone'] ?? [];
            $come = [];
            foreach ($swap['come'] ?? [] as $i => $one) {
                $come[$items[$one['item']]->id] = self::ratio($one, $items, $gone[0] ?? null, "swaps.{$at}.come.{$i}.ratio");
            }
            if ($gone === [] && $come === []) {
                throw Refusal::at("swaps.{$at}.gone", 'Name what goes or what comes.');
            }
            $parents = $swap['parents'] ?? null;
            if ($gone === [] && ($parents === null || $parents === [])) {
                throw Refusal::at("swaps.{$at}.parents", 'Where nothing goes, name the parents in which it comes.');
            }
            $asked[] = new AskedSwap(
                array_map(static fn(string $number): int => $items[$number]->id, $gone),
                $come,
                $parents === null || $parents === [] ? null : NamedItems::ids(array_values(array_unique($parents)), "swaps.{$at}.parents"),
            );
        }

        self::overlapNot($asked, $items);

        return $asked === [] ? throw Refusal::at('swaps', 'Name what goes and what comes.') : [$asked, $items];
    }

    /**
     * @param  list<AskedSwap>  $swaps
     * @param  Collection<string, Item>  $items
     */
    private static function overlapNot(array $swaps, Collection $items): void
    {
        $seen = [];
        foreach ($swaps as $at => $swap) {
            foreach ($swap->gone as $part) {
                foreach ($seen[$part] ?? [] as $parents) {
                    if ($parents === null || $swap->parents === null || array_intersect($parents, $swap->parents) !== []) {
                        $number = $items->firstWhere('id', $part)?->number;
                        throw Refusal::at("swaps.{$at}.gone", "{$number} goes twice. Name other parents in each swap.");
                    }
                }
                $seen[$part][] = $swap->parents;
            }
        }
    }

    /**
     * @param  array{item: string, ratio?: ?string}  $come
     * @param  Collection<string, Item>  $items
     * @return int millionths
     */
    private static function ratio(array $come, Collection $items, ?string $for, string $place): int
    {
        $said = $come['ratio'] ?? null;
        if ($said !== null && $said !== '') {
            $ratio = Quantity::parse($said, $place);

            return $ratio->isPositive() ? $ratio->millionths : throw Refusal::at($place, 'Write a number above zero.');
        }
        if ($for !== null && $items[$for]->unit === $items[$come['item']]->unit) {
            return Quantity::ONE;
        }
        throw Refusal::at(
            $place,
            $for === null
                ? "Say how much of {$come['item']} one parent takes."
                : "Say how much of {$come['item']} takes the place of one {$items[$for]->unit->value} of {$for}: they are not measured alike.",
        );
    }
}
