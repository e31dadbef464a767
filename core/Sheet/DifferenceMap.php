<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/**
 * Where something went from a sheet and where something came, in small squares; what lies near to each other is one place.
 *
 * Example: a hole of 6 becomes one of 8, and "Ø6" beside it becomes "Ø8". The circle and the text stand 4 mm apart: one place, changed,
 * with "Ø6" gone and "Ø8" come. A new note 30 mm away is a place of its own.
 */
final class DifferenceMap
{
    /** Millimetres: as wide is a square, and twice as much what keeps places apart. A text is about as high as that. */
    private const SQUARE = 2.5;

    private const APART = 2;

    private const WENT = 1;

    private const CAME = 2;

    /** @var array<int, array<int, int>> row => column => what happened there */
    private array $squares = [];

    public function __construct(private readonly SheetSize $size) {}

    public function went(Box $box): void
    {
        $this->put($box, self::WENT);
    }

    public function came(Box $box): void
    {
        $this->put($box, self::CAME);
    }

    /**
     * @param  list<SheetElement>  $went  texts that are only on the old sheet
     * @param  list<SheetElement>  $came  texts that are only on the new one
     * @return list<SheetPlace> as one reads: from above, and from the left
     */
    public function places(array $went, array $came): array
    {
        $places = [];
        $left = $this->squares;
        foreach ($this->squares as $row => $columns) {
            foreach (array_keys($columns) as $column) {
                if (isset($left[$row][$column])) {
                    [$what, $squares] = self::together($left, $row, $column);
                    $box = self::around($squares);
                    $places[] = new SheetPlace(
                        match ($what) {
                            self::WENT => PlaceKind::Removed,
                            self::CAME => PlaceKind::Added,
                            default => PlaceKind::Changed,
                        },
                        $this->size->zone(($box->left + $box->right) / 2, ($box->top + $box->bottom) / 2),
                        $box,
                        $this->texts($went, $squares),
                        $this->texts($came, $squares),
                    );
                }
            }
        }
        usort($places, static fn(SheetPlace $a, SheetPlace $b): int => [$a->box->top, $a->box->left] <=> [$b->box->top, $b->box->left]);

        return $places;
    }

    private function put(Box $box, int $what): void
    {
        foreach ($this->squaresOf($box) as [$row, $column]) {
            $this->squares[$row][$column] = ($this->squares[$row][$column] ?? 0) | $what;
        }
    }

    /** @return \Generator<int, array{int, int}> row and column; what lies beyond the edge is at the edge */
    private function squaresOf(Box $box): \Generator
    {
        $at = static function (float $place, float $size): int {
            $last = max(0, (int) ceil($size / self::SQUARE) - 1);

            return max(0, min($last, (int) floor($place / self::SQUARE)));
        };
        [$first, $last] = [$at($box->left, $this->size->width), $at($box->right, $this->size->width)];
        for ($row = $at($box->top, $this->size->height), $end = $at($box->bottom, $this->size->height); $row <= $end; $row++) {
            for ($column = $first; $column <= $last; $column++) {
                yield [$row, $column];
            }
        }
    }

    /**
     * Takes out a square, and all that is near to it, and near to that.
     *
     * @param  array<int, array<int, int>>  $left
     * @return array{int, non-empty-array<int, array<int, true>>} what happened there; the squares, by row and column
     */
    private static function together(array &$left, int $row, int $column): array
    {
        $what = $left[$row][$column];
        unset($left[$row][$column]);
        $found = [[$row, $column]];
        $squares = [];
        while ($found !== []) {
            [$y, $x] = array_pop($found);
            $squares[$y][$x] = true;
            for ($near = $y - self::APART; $near <= $y + self::APART; $near++) {
                for ($at = $x - self::APART; $at <= $x + self::APART; $at++) {
                    if (isset($left[$near][$at])) {
                        $what |= $left[$near][$at];
                        unset($left[$near][$at]);
                        $found[] = [$near, $at];
                    }
                }
            }
        }

        return [$what, $squares];
    }

    /** @param  non-empty-array<int, array<int, true>>  $squares */
    private static function around(array $squares): Box
    {
        [$top, $left, $bottom, $right] = [PHP_INT_MAX, PHP_INT_MAX, 0, 0];
        foreach ($squares as $row => $columns) {
            [$top, $bottom] = [min($top, $row), max($bottom, $row)];
            foreach (array_keys($columns) as $column) {
                [$left, $right] = [min($left, $column), max($right, $column)];
            }
        }

        return new Box($left * self::SQUARE, $top * self::SQUARE, ($right + 1) * self::SQUARE, ($bottom + 1) * self::SQUARE);
    }

    /**
     * @param  list<SheetElement>  $of
     * @param  array<int, array<int, true>>  $squares
     * @return list<string> those that stand on any of the squares
     */
    private function texts(array $of, array $squares): array
    {
        $texts = [];
        foreach ($of as $element) {
            foreach ($element->text === '' ? [] : $this->squaresOf($element->box()) as [$row, $column]) {
                if (isset($squares[$row][$column])) {
                    $texts[] = $element->text;
                    break;
                }
            }
        }

        return $texts;
    }
}
