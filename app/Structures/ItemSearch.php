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
     * @param  array<string, string>  $asked  words, kind, category (with all that stand under it), status, used_in, supply, attribute and value: what is empty is not asked
     * @return list<ItemRow> products first, by number; if they are nearly so only, the nearest first
     */
    public function find(array $asked): array
    {
        $words = preg_split('/\s+/', $asked['words'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [];
        // Any part of a number or title first: that is what people type, and what the trigram index answers at once.
        $found = $this->reading($asked, $words, '('.self::TEXT.' ILIKE ?)', static fn (string $word): array => [self::part($word)]);
        if ($words === [] || $found !== []) {
            return $found;
        }
        $found = $this->reading($asked, $words, '('.self::TEXT." ILIKE ? OR words @@ plainto_tsquery('english', ?))", static fn (string $word): array => [self::part($word), $word]);
        if ($found !== []) {
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
     * @param  array<string, string>  $asked
     * @param  list<string>  $words  all of which have to read like that
     * @param  \Closure(string): list<string>  $bindings
     * @return list<ItemRow>
     */
    private function reading(array $asked, array $words, string $condition, \Closure $bindings): array
    {
        $query = $this->filtered($asked);
        foreach ($words as $word) {
            $query->whereRaw($condition, $bindings($word));
        }

        return self::rows($query->orderByDesc('sold')->orderBy('number')->limit(self::MOST));
    }

    /** The word as any part of a text. */
    private static function part(string $word): string
    {
        return '%'.addcslashes($word, '%_\\').'%';
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
        $patterns = [self::part($word)];
        for ($i = 0; $i + 1 < count($letters); $i++) {
            $swapped = $letters;
            [$swapped[$i], $swapped[$i + 1]] = [$letters[$i + 1], $letters[$i]];
            $patterns[] = self::part(implode('', $swapped));
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
            $query->whereRaw('category_id IN (WITH RECURSIVE inside AS (SELECT id FROM categories WHERE code = ?
                UNION SELECT c.id FROM inside JOIN categories c ON c.parent_id = inside.id) SELECT id FROM inside)', [$asked['category']]);
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
        $item = Item::query()->where('number', $number)->first() ?? throw Refusal::at('used_in', (new MistypedNumbers)->noSuchItem($number));
        $index = StructureIndex::open();
        $explosion = $index->explosion($item->id, Today::day());

        return array_map($index->positions->item(...), array_keys($explosion->totals()));
    }
}
