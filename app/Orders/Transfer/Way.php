<?php

declare(strict_types=1);

namespace App\Orders\Transfer;

use App\Orders\Subjects\NamedWork;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Refusal;

/** From which structure to which sibling edits are carried: "230-0001 engineering>230-0002 engineering". */
final readonly class Way
{
    private const TO = '>';

    private const MOST = 200;

    private function __construct(public NamedWork $source, public NamedWork $target) {}

    /**
     * @param  string  $text  of several, with commas between
     * @return list<self>
     *
     * @throws Refusal at to, when it cannot be understood
     */
    public static function several(string $from, string $into, string $text): array
    {
        $parts = array_values(array_filter(array_map(trim(...), explode(',', $text)), static fn(string $part): bool => $part !== ''));
        if (count($parts) > self::MOST) {
            throw Refusal::at('to', 'At most ' . self::MOST . ' siblings at once.');
        }

        return array_map(static function (string $part) use ($from, $into): self {
            $sides = array_map(static fn(string $side): array => [...explode(' ', trim($side), 2), ''], explode(self::TO, $part));
            if (count($sides) !== 2) {
                throw Refusal::at('to', "\"{$part}\" does not say from where to where.");
            }
            [[$item, $work], [$sibling, $there]] = $sides;
            $way = new self(NamedWork::of($from, $item, $work), NamedWork::of($into, $sibling, $there));
            if (
                $way->source->kind !== $way->target->kind ||
                !in_array($way->source->kind, [Subject::ENGINEERING, Subject::MANUFACTURING], true)
            ) {
                throw Refusal::at('to', 'What engineering declares goes to engineering, what a plant builds to a plant.');
            }
            // Into another order it goes on as it is: two proposals, or two orders, for one structure.
            if ($from === $into && $way->source->key() === $way->target->key()) {
                throw Refusal::at('to', "{$item} is no sibling of itself.");
            }

            return $way;
        }, $parts);
    }

    public function key(): string
    {
        return $this->source->key() . self::TO . $this->target->key();
    }
}
