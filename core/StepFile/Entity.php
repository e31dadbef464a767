<?php

declare(strict_types=1);

namespace Orthotaxis\Core\StepFile;

/**
 * One entity instance of ISO 10303-21: written simply, with all its attributes in one list, or as a complex instance, where
 * each of its types has a list of its own.
 */
final readonly class Entity
{
    /** @param  array<string, list<string|list<mixed>>>  $parts  type => attributes */
    private function __construct(public string $id, public bool $complex, public array $parts) {}

    /**
     * @param  list<string>  $types  what is looked for; anything else is passed over unread
     * @return ?self null when it is none of them
     */
    public static function read(string $statement, array $types): ?self
    {
        if (preg_match('/^(#\d+)\s*=\s*(\(?)\s*([A-Z0-9_]+)/', $statement, $begin) !== 1) {
            return null;
        }
        if ($begin[2] === '') {
            $open = strpos($statement, '(');

            return $open === false || !in_array($begin[3], $types, true)
                ? null
                : new self($begin[1], false, [$begin[3] => Value::arguments(substr($statement, $open + 1))]);
        }
        // Names and lists take turns: A(…)B(…)
        $items = Value::arguments(substr($statement, (int) strpos($statement, '(') + 1));
        $parts = [];
        for ($i = 0; $i + 1 < count($items); $i += 2) {
            if (is_string($items[$i]) && is_array($items[$i + 1])) {
                $parts[$items[$i]] = array_map(
                    static fn(mixed $value): string|array => is_array($value) ? array_values($value) : (is_string($value) ? $value : ''),
                    $items[$i + 1],
                );
            }
        }

        return array_intersect($types, array_keys($parts)) === [] ? null : new self($begin[1], true, $parts);
    }

    public function is(string $type): bool
    {
        return isset($this->parts[$type]);
    }

    /** An attribute as text or reference; empty where there is none. */
    public function text(string $type, int $place): string
    {
        $value = $this->parts[$type][$place] ?? '';

        return is_string($value) && $value !== '$' ? $value : '';
    }
}
