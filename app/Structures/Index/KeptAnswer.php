<?php

declare(strict_types=1);

namespace App\Structures\Index;

use Orthotaxis\Core\Adjacency\WhereUsed;
use Orthotaxis\Core\Quantity\Quantity;

/**
 * A large answer to the question where something is used, kept in a file beside the lists it was found with. A page of it
 * is read from its place in the file; nothing else of it is.
 *
 * The file: how many parents, how many tops, how many positions (8 bytes each); the parents, nearest first (4 bytes each);
 * how much goes into each (8 bytes); the tops (4 bytes); the level of every position, 0 where the item is not in it (1 byte).
 */
final class KeptAnswer
{
    /** Smaller answers are found as quickly as they are read. */
    public const WORTH_IT = 2_000;

    /** So many are kept with a version; then it begins anew. */
    private const MOST = 60;

    private const HEAD = 24;

    /** The levels of all positions, read when the first is asked for. */
    private ?string $levels = null;

    /** @param  resource  $file  held open: another worker may begin anew while this one reads */
    private function __construct(
        private readonly mixed $file,
        public readonly int $total,
        public readonly int $tops,
        private readonly int $size,
    ) {}

    public static function open(string $path): ?self
    {
        // It may be gone between looking for it and opening it, so only opening it tells.
        $file = @fopen($path, 'rb');
        if ($file === false) {
            return null;
        }
        [$total, $tops, $size] = self::numbers('q3', (string) stream_get_contents($file, self::HEAD));

        return new self($file, $total, $tops, $size);
    }

    /** @param  int  $size  positions are below it */
    public static function keep(string $path, WhereUsed $used, int $size): void
    {
        $tops = $used->tops();
        $levels = str_repeat("\0", $size);
        $quantities = [];
        foreach ($used->parents as $parent) {
            $levels[$parent] = chr(min(255, $used->level($parent)));
            $quantities[] = $used->quantity($parent)->millionths;
        }
        $others = glob(dirname($path) . '/used-*.bin') ?: [];
        if (count($others) >= self::MOST) {
            array_map(static fn(string $other): bool => @unlink($other), $others);
        }
        $unfinished = $path . '.' . bin2hex(random_bytes(4));
        file_put_contents(
            $unfinished,
            pack('q3', count($used->parents), count($tops), $size) .
                pack('V*', ...$used->parents) .
                pack('q*', ...$quantities) .
                pack('V*', ...$tops) .
                $levels,
        );
        rename($unfinished, $path);
    }

    /**
     * @return array<int, array{int, Quantity}> level and quantity by position, in the order of the answer
     */
    public function page(bool $topsOnly, int $from, int $count): array
    {
        $tops = self::HEAD + 12 * $this->total;
        $positions = $topsOnly
            ? $this->read('V', $tops + 4 * $from, min($count, $this->tops - $from), 4)
            : $this->read('V', self::HEAD + 4 * $from, min($count, $this->total - $from), 4);
        // Tops are few beside all parents, and stand anywhere among them.
        $all = $topsOnly ? array_flip($this->read('V', self::HEAD, $this->total, 4)) : [];
        $quantities = $topsOnly ? [] : $this->read('q', self::HEAD + 4 * $this->total + 8 * $from, count($positions), 8);
        $page = [];
        foreach ($positions as $i => $position) {
            $quantity = $topsOnly ? $this->read('q', self::HEAD + 4 * $this->total + 8 * $all[$position], 1, 8)[0] : $quantities[$i];
            $page[$position] = [$this->level($position), Quantity::ofMillionths($quantity)];
        }

        return $page;
    }

    /** 0 where the item is not in it. */
    public function level(int $position): int
    {
        $this->levels ??= (string) stream_get_contents($this->file, $this->size, self::HEAD + 12 * $this->total + 4 * $this->tops);

        return $position >= $this->size ? 0 : ord($this->levels[$position]);
    }

    /** @return list<int> */
    private function read(string $format, int $at, int $count, int $bytes): array
    {
        return $count <= 0 ? [] : self::numbers("{$format}*", (string) stream_get_contents($this->file, $count * $bytes, $at));
    }

    /** @return list<int> */
    private static function numbers(string $format, string $bytes): array
    {
        /** @var array<int, int> $numbers */
        $numbers = unpack($format, $bytes) ?: [];

        return array_values($numbers);
    }
}
