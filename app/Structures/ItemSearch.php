<?php

declare(strict_types=1);

namespace App\Structures;

use App\Days\Today;
use App\Structures\Data\ItemList;
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
    /** Rows of one page at most. */
    public const MOST = 500;

    private const NEAR = 20;

    private const TEXT = "number || ' ' || title";

    /**
     * What rows can be put in order by, and the columns that say it (the revision by what is in force today); each order ends with the
     * number, so that it is a total one.
     */
    private const ORDERS = [
        'number' => 'number',
        'title' => 'title',
        'kind' => 'kind',
        'category' => '(SELECT name FROM categories c WHERE c.id = items.category_id)',
        'unit' => 'unit',
        'cost' => 'standard_cost',
        'status' => '',
    ];

    /**
     * @param  array<string, string>  $asked  words, kind, category (with all that stand under it), status, used_in, supply, attribute
     *     and value: what is empty is not asked
     * @param  string  $sort  a column, with a minus before it for the other way round; empty: an exact number, products, by number; if
     *     they are nearly so only, the nearest first
     */
    public function page(array $asked, int $from, int $most, string $sort = ''): ItemList
    {
        [$query, $nearly] = $this->found($asked, $sort);
        $page = $query->clone();
        $page->offset($from);
        $page->limit(min($most, self::MOST));
        $ids = self::ids($page);
        // Counted only where the page does not tell.
        $total = count($ids) < $most && ($ids !== [] || $from === 0) ? $from + count($ids) : $query->clone()->reorder()->toBase()->count();
        $rows = ItemRows::byId($ids);
        $words = trim($asked['words'] ?? '');

        return new ItemList(
            $total,
            $from,
            array_map(static fn(int $id): ItemRow => $rows[$id], $ids),
            $nearly,
            $words === '' || ($total > 0 && !$nearly) ? null : (new MistypedNumbers())->slip($words),
        );
    }

    /**
     * All that is found, in order.
     *
     * @param  array<string, string>  $asked
     * @return array{Builder<Item>, bool} the question, and whether what it finds is only nearly what was asked
     */
    public function found(array $asked, string $sort = ''): array
    {
        $words = preg_split('/\s+/', $asked['words'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [];
        // Any part of a number or title first: that is what people type, and what the trigram index answers at once.
        $found = $this->reading($asked, $words, '(' . self::TEXT . ' ILIKE ?)', static fn(string $word): array => [self::part($word)]);
        if ($words === [] || $found->exists()) {
            return [self::inOrder($found, $sort, $words), false];
        }
        $found = $this->reading(
            $asked,
            $words,
            '(' . self::TEXT . " ILIKE ? OR words @@ plainto_tsquery('english', ?))",
            static fn(string $word): array => [self::part($word), $word],
        );
        if ($found->exists()) {
            return [self::inOrder($found, $sort, $words), false];
        }
        $near = $this->filtered($asked);
        foreach ($words as $word) {
            $near->whereRaw('(? <% (' . self::TEXT . ') OR ' . self::TEXT . ' ILIKE ANY (?::text[]))', [$word, self::swapped($word)]);
        }
        $near->orderByRaw('word_similarity(?, ' . self::TEXT . ') DESC, number', [implode(' ', $words)])->limit(self::NEAR);

        return [
            Item::query()
                ->whereIn('id', self::ids($near))
                ->tap(static fn(Builder $query): Builder => self::inOrder($query, $sort, $words, true)),
            true,
        ];
    }

    /**
     * @param  array<string, string>  $asked
     * @param  list<string>  $words  all of which have to read like that
     * @param  \Closure(string): list<string>  $bindings
     * @return Builder<Item>
     */
    private function reading(array $asked, array $words, string $condition, \Closure $bindings): Builder
    {
        $query = $this->filtered($asked);
        foreach ($words as $word) {
            $query->whereRaw($condition, $bindings($word));
        }

        return $query;
    }

    /**
     * @param  Builder<Item>  $query
     * @param  list<string>  $words
     * @return Builder<Item>
     */
    private static function inOrder(Builder $query, string $sort, array $words, bool $nearest = false): Builder
    {
        if ($sort !== '') {
            $column =
                self::ORDERS[ltrim($sort, '-')] ??
                throw Refusal::at('sort', 'Items are sorted by ' . implode(', ', array_keys(self::ORDERS)) . '.');

            // What has no value stands last, whichever way.
            $query->orderByRaw(
                ($column === '' ? ShownRevision::code(Today::day()) : $column) .
                    (str_starts_with($sort, '-') ? ' DESC' : ' ASC') .
                    ' NULLS LAST',
            );
            $query->orderBy('number');

            return $query;
        }
        if (count($words) === 1) {
            $query->orderByRaw('upper(number) = upper(?) DESC', $words);
        }

        if ($nearest) {
            $query->orderByRaw('word_similarity(?, ' . self::TEXT . ') DESC', [implode(' ', $words)]);
        } else {
            $query->orderByDesc('sold');
        }
        $query->orderBy('number');

        return $query;
    }

    /**
     * @param  Builder<Item>  $query
     * @return list<int> in its order
     */
    private static function ids(Builder $query): array
    {
        return array_values($query->toBase()->pluck('id')->all());
    }

    /** The word as any part of a text. */
    private static function part(string $word): string
    {
        return '%' . addcslashes($word, '%_\\') . '%';
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

        return '{' .
            implode(',', array_map(static fn(string $pattern): string => '"' . addcslashes($pattern, '"\\') . '"', $patterns)) .
            '}';
    }

    /**
     * @param  array<string, string>  $asked
     * @return Builder<Item>
     */
    private function filtered(array $asked): Builder
    {
        $query = Item::query();
        $today = Today::day();
        foreach (['kind', 'supply'] as $column) {
            if (($asked[$column] ?? '') !== '') {
                $query->where($column, $asked[$column]);
            }
        }
        if (($asked['category'] ?? '') !== '') {
            $query->whereRaw(
                'category_id IN (WITH RECURSIVE inside AS (SELECT id FROM categories WHERE code = ?
                UNION SELECT c.id FROM inside JOIN categories c ON c.parent_id = inside.id) SELECT id FROM inside)',
                [$asked['category']],
            );
        }
        match ($asked['status'] ?? '') {
            '' => null,
            'in_force' => $query->whereRaw(ShownRevision::inForce($today)),
            'coming' => $query->whereRaw(ShownRevision::comes($today)),
            'ended' => $query->whereRaw(
                ShownRevision::wasEver() . ' AND NOT ' . ShownRevision::inForce($today) . ' AND NOT ' . ShownRevision::comes($today),
            ),
            'in_work' => $query->whereRaw('NOT ' . ShownRevision::wasEver()),
            'being_revised' => $query->whereHas('revisingOrders'),
            default => throw Refusal::at('status', 'The status is in_force, coming, ended, in_work or being_revised.'),
        };
        if (($asked['attribute'] ?? '') !== '' && ($asked['value'] ?? '') !== '') {
            $query->whereRaw('attributes ->> ? ILIKE ?', [$asked['attribute'], '%' . addcslashes($asked['value'], '%_\\') . '%']);
        }
        if (($asked['used_in'] ?? '') !== '') {
            $query->whereIntegerInRaw('id', $this->inside($asked['used_in']));
        }

        return $query;
    }

    /** @return list<int> ids of all that is in an item today */
    private function inside(string $number): array
    {
        $item =
            Item::query()->where('number', $number)->first() ?? throw Refusal::at('used_in', (new MistypedNumbers())->noSuchItem($number));
        $index = StructureIndex::open();
        $explosion = $index->explosion($item->id, Today::day());

        return array_map($index->positions->item(...), array_keys($explosion->totals()));
    }
}
