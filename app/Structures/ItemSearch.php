<?php

declare(strict_types=1);

namespace App\Structures;

use App\Structures\Data\ItemRow;
use App\Structures\Index\StructureIndex;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;

/**
 * Finds items by words and properties. Any part of a number or title counts, and any form of a word in the title, supplier,
 * material or attributes; when nothing reads like that, words that are nearly so count (trigrams, so that a typing error is
 * forgiven).
 */
final readonly class ItemSearch
{
    public const MOST = 200;

    private const NEAR = 20;

    private const TEXT = "number || ' ' || title";

    /**
     * @param  array<string, string>  $asked  words, kind, category, status, used_in, supply, attribute and value: what is empty is not asked
     * @return list<ItemRow> products first, by number; if they are nearly so only, the nearest first
     */
    public function find(array $asked): array
    {
        $words = preg_split('/\s+/', $asked['words'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $exact = $this->filtered($asked);
        foreach ($words as $word) {
            $exact->whereRaw('('.self::TEXT." ILIKE ? OR words @@ plainto_tsquery('english', ?))", ['%'.addcslashes($word, '%_\\').'%', $word]);
        }
        $found = self::rows($exact->orderByDesc('sold')->orderBy('number')->limit(self::MOST));
        if ($words === [] || $found !== []) {
            return $found;
        }
        $near = $this->filtered($asked);
        foreach ($words as $word) {
            $near->whereRaw('(? <% ('.self::TEXT.') OR '.self::TEXT.' ILIKE ANY (?::text[]))', [$word, self::swapped($word)]);
        }

        $near->orderByRaw('word_similarity(?, '.self::TEXT.') DESC, number', [implode(' ', $words)]);

        return self::rows($near->limit(self::NEAR));
    }

    /**
     * @param  Builder<Item>  $query
     * @return list<ItemRow> in its order
     */
    private static function rows(Builder $query): array
    {
        /** @var list<int> $ids */
        $ids = $query->toBase()->pluck('id')->all();
        $rows = ItemRows::byId($ids);

        return array_map(static fn (int $id): ItemRow => $rows[$id], $ids);
    }

    /** The word with each two neighbouring letters swapped: the error that trigrams forgive least. As an array of PostgreSQL. */
    private static function swapped(string $word): string
    {
        $letters = mb_str_split(mb_substr($word, 0, 40));
        $patterns = ['%'.addcslashes($word, '%_\\').'%'];
        for ($i = 0; $i + 1 < count($letters); $i++) {
            $swapped = $letters;
            [$swapped[$i], $swapped[$i + 1]] = [$letters[$i + 1], $letters[$i]];
            $patterns[] = '%'.addcslashes(implode('', $swapped), '%_\\').'%';
        }

        return '{'.implode(',', array_map(static fn (string $pattern): string => '"'.addcslashes($pattern, '"\\').'"', $patterns)).'}';
    }

    /**
     * @param  array<string, string>  $asked
     * @return Builder<Item>
     */
    private function filtered(array $asked): Builder
    {
        $query = Item::query();
        foreach (['kind', 'supply'] as $column) {
            if (($asked[$column] ?? '') !== '') {
                $query->where($column, $asked[$column]);
            }
        }
        if (($asked['category'] ?? '') !== '') {
            $query->whereRelation('category', 'code', $asked['category']);
        }
        match ($asked['status'] ?? '') {
            '' => null,
            'released' => $query->whereHas('released'),
            'in_work' => $query->whereDoesntHave('released'),
            'being_revised' => $query->whereHas('revisingOrders'),
            default => throw Refusal::at('status', 'The status is released, in_work or being_revised.'),
        };
        if (($asked['attribute'] ?? '') !== '' && ($asked['value'] ?? '') !== '') {
            $query->whereRaw('attributes ->> ? ILIKE ?', [$asked['attribute'], '%'.addcslashes($asked['value'], '%_\\').'%']);
        }
        if (($asked['used_in'] ?? '') !== '') {
            $query->whereIntegerInRaw('id', $this->inside($asked['used_in']));
        }

        return $query;
    }

    /** @return list<int> ids of all that is in an item today */
    private function inside(string $number): array
    {
        $item = Item::query()->where('number', $number)->first() ?? throw Refusal::at('used_in', "There is no item {$number}.");
        $index = StructureIndex::open();
        $explosion = $index->explosion($item->id, Today::day());

        return array_map($index->positions->item(...), array_keys($explosion->totals()));
    }
}
