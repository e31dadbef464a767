<?php

declare(strict_types=1);

use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** A product of many engineering lines and what a plant builds of it, through three levels of kits; the same from every seed. */
final readonly class Builds
{
    private const TOPS = 20;

    private const KITS = 10;

    private const LEAVES = 5;

    /**
     * @param  list<Line>  $built  of the item itself
     * @param  array<string, list<Line>>  $below  by kit
     */
    private function __construct(public Structure $engineering, public array $built, public array $below) {}

    /** One line in five is taken over in two parts; one in a thousand is a piece too much. */
    public static function of(int $lines): self
    {
        $engineering = $built = $below = $leaves = [];
        for ($top = 0; $top < self::TOPS; $top++) {
            $built[] = self::line("k{$top}", 90_000 + $top, "K{$top}", Quantity::ONE);
            for ($kit = 0; $kit < self::KITS; $kit++) {
                $below["K{$top}"][] = self::line("k{$top}.{$kit}", $kit + 1, "K{$top}.{$kit}", Quantity::ONE);
                for ($leaf = 0; $leaf < self::LEAVES; $leaf++) {
                    $name = "{$top}.{$kit}.{$leaf}";
                    $below["K{$top}.{$kit}"][] = self::line("k{$name}", $leaf + 1, "K{$name}", Quantity::ONE);
                    $leaves[] = "K{$name}";
                }
            }
        }
        for ($at = 0; $at < $lines; $at++) {
            $wanted = 1 + (($at * 7_919) % 20);
            $line = self::line(
                sprintf('%08x-0000-7000-8000-%012x', $at, $at),
                ($at % 99_999) + 1,
                'C' . $at % 20_000,
                $wanted * Quantity::ONE,
            );
            $engineering[] = $line;
            $parts = $at % 5 === 0 && $wanted > 1 ? [1, $wanted - 1] : [$wanted];
            foreach ($parts as $part => $quantity) {
                $more = $at % 1_000 === 3 ? 1 : 0;
                $key = sprintf('%08x-1111-7000-8000-%012x', $at, $part);
                $one = self::line($key, $line->find, $line->component, ($quantity + $more) * Quantity::ONE, $line->key);
                if ($at % 3 === 0) {
                    $built[] = $one;
                } else {
                    $below[$leaves[$at % count($leaves)]][] = $one;
                }
            }
        }

        return new self(new Structure($engineering), $built, $below);
    }

    /** How many lines the plant has. */
    public function count(): int
    {
        return count($this->built) + array_sum(array_map(count(...), $this->below));
    }

    /** For the C program. */
    public function write(string $file): void
    {
        $out = fopen($file, 'wb');
        foreach ($this->engineering as $line) {
            fwrite($out, "E {$line->key} {$line->component} {$line->quantity->millionths}\n");
        }
        foreach (['-' => $this->built] + $this->below as $parent => $lines) {
            foreach ($lines as $line) {
                fwrite(
                    $out,
                    "M {$parent} {$line->key} {$line->component} {$line->quantity->millionths} " . ($line->takesOver ?: '-') . "\n",
                );
            }
        }
        fclose($out);
    }

    private static function line(string $key, int $find, string $component, int $millionths, string $takesOver = ''): Line
    {
        return new Line(
            key: $key,
            find: $find,
            component: $component,
            quantity: Quantity::ofMillionths($millionths),
            unit: Unit::Piece,
            takesOver: $takesOver,
        );
    }
}
