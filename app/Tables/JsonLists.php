<?php

declare(strict_types=1);

namespace App\Tables;

/**
 * A JSON object whose members are long lists, taken apart without decoding all of it at once: decoded, a text takes ten times
 * its room. What is left of it when the elements of the lists are taken out says whether it was well formed.
 */
final readonly class JsonLists
{
    /**
     * @param  array<array-key, mixed>  $head  the object, with 0 in place of each object or list in a list
     * @param  array<string, list<int>>  $elements  member => where its elements begin and end, in turn
     * @param  int<1, max>  $deepest
     */
    private function __construct(public array $head, private string $text, private array $elements, private int $deepest) {}

    /** @param  int<1, max>  $deepest  levels of objects and lists; null when it goes deeper, or is no JSON object */
    public static function of(string $text, int $deepest): ?self
    {
        $elements = [];
        $rest = '';
        $copied = $depth = $start = 0;
        $last = $member = '';
        $end = strlen($text);
        for ($at = strcspn($text, '"[]{}'); $at < $end; $at += 1 + strcspn($text, '"[]{}', $at + 1)) {
            $sign = $text[$at];
            if ($sign === '"') {
                $close = self::close($text, $at);
                if ($depth === 1) {
                    $last = substr($text, $at + 1, $close - $at - 1);
                }
                $at = $close;
            } elseif ($sign === '[' || $sign === '{') {
                $depth++;
                if ($depth > $deepest) {
                    return null;
                }
                if ($depth === 2) {
                    $member = $sign === '[' ? $last : '';
                } elseif ($depth === 3) {
                    $start = $at;
                }
            } else {
                $depth--;
                if ($depth === 2 && $member !== '') {
                    $elements[$member][] = $start;
                    $elements[$member][] = $at + 1;
                    $rest .= substr($text, $copied, $start - $copied) . '0';
                    $copied = $at + 1;
                }
            }
        }
        $head = json_decode($rest . substr($text, $copied), true, $deepest);

        return is_array($head) ? new self($head, $text, $elements, $deepest) : null;
    }

    /** @return \Generator<int, ?string> the texts of the elements of a list; null for one that is neither object nor list */
    public function texts(string $member): \Generator
    {
        $list = $this->head[$member] ?? [];
        $elements = $this->elements[$member] ?? [];
        if (!is_array($list) || 2 * count($list) !== count($elements)) {
            yield null;

            return;
        }
        for ($i = 0; $i < count($elements); $i += 2) {
            yield substr($this->text, $elements[$i], $elements[$i + 1] - $elements[$i]);
        }
    }

    /** @return \Generator<int, ?array<array-key, mixed>> the same, decoded; null for one that is no JSON */
    public function decoded(string $member): \Generator
    {
        foreach ($this->texts($member) as $text) {
            $value = $text === null ? null : json_decode($text, true, $this->deepest);
            yield is_array($value) ? $value : null;
        }
    }

    /** Where the string that begins at a place ends; the end of the text when it does not. */
    private static function close(string $text, int $at): int
    {
        $end = strlen($text);
        for ($at++; $at < $end; $at += 2) {
            $at += strcspn($text, '"\\', $at);
            if ($at < $end && $text[$at] === '"') {
                return $at;
            }
        }

        return $end;
    }
}
