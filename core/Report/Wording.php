<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Report;

/**
 * What a report is about, for telling whether another one is about the same. Words count by their beginnings, so that
 * "leaks", "leak" and "leaking" are one, and so does a word with one slip of the fingers; words that stand in every report
 * do not count.
 */
final readonly class Wording
{
    /** Letters of a word that count, when its ending is off. */
    private const STEM = 6;

    /** Shorter words say nothing. */
    private const SHORTEST = 4;

    private const COMMON = [
        'after',
        'again',
        'also',
        'because',
        'been',
        'before',
        'found',
        'from',
        'have',
        'into',
        'more',
        'often',
        'only',
        'over',
        'problem',
        'reported',
        'some',
        'than',
        'that',
        'their',
        'them',
        'then',
        'there',
        'these',
        'they',
        'this',
        'unit',
        'units',
        'very',
        'were',
        'when',
        'where',
        'which',
        'will',
        'with',
    ];

    /** From here on another report is likely the same. */
    public const LIKELY = 30;

    /**
     * @param  array<string, string>  $stems  the beginnings, each with the word it is of
     * @param  list<string>  $items  numbers
     */
    private function __construct(public array $stems, public array $items) {}

    /** @param  list<string>  $items  numbers of the items that are named */
    public static function of(string $title, string $description, array $items): self
    {
        $stems = [];
        foreach (preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower("{$title} {$description}"), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (mb_strlen($word) >= self::SHORTEST && !in_array($word, self::COMMON, true)) {
                $word = (string) preg_replace('/(?<=\p{L}{3})(ing|ed|es|s)$/Du', '', $word);
                $stems[mb_substr($word, 0, self::STEM)] = $word;
            }
        }

        return new self($stems, $items);
    }

    /**
     * How alike two are, 0 to 100: half by the items they share, half by the words (the share of words of the shorter one
     * that the other has too). Symmetric.
     */
    public function likeness(self $other): int
    {
        $items = min(count($this->items), count($other->items));
        $words = min(count($this->stems), count($other->stems));

        return intdiv(50 * count(array_intersect($this->items, $other->items)), max(1, $items)) +
            intdiv(50 * min($this->wordsKnownTo($other), $other->wordsKnownTo($this)), max(1, $words));
    }

    private function wordsKnownTo(self $other): int
    {
        $known = 0;
        foreach ($this->stems as $stem => $word) {
            $known += isset($other->stems[$stem]) || $other->hasMistyped($word) ? 1 : 0;
        }

        return $known;
    }

    private function hasMistyped(string $word): bool
    {
        foreach ($this->stems as $known) {
            if (Slip::between($word, $known)) {
                return true;
            }
        }

        return false;
    }
}
