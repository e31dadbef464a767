<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** Where two sheets differ: what of the old one went, and what of the new one came. The other way round, both change their names. */
final readonly class SheetComparison
{
    /** @param  list<SheetPlace>  $places  as one reads */
    private function __construct(public array $places) {}

    /**
     * By what is drawn: an element that is on both sheets at the same place is no difference, however often it is there.
     *
     * @param  list<SheetElement>  $before
     * @param  list<SheetElement>  $after
     */
    public static function ofElements(array $before, array $after, SheetSize $size): self
    {
        [$went, $came] = [self::without($before, $after), self::without($after, $before)];
        $map = new DifferenceMap($size);
        foreach ($went as $element) {
            array_map($map->went(...), $element->boxes);
        }
        foreach ($came as $element) {
            array_map($map->came(...), $element->boxes);
        }

        return new self($map->places($went, $came));
    }

    /**
     * By what is seen: ink where there is none on the other sheet, nor right beside it.
     *
     * @param  GreyPicture  $before  both drawn at the same scale
     * @param  float  $pixel  how large a pixel is, in millimetres
     * @param  list<SheetElement>  $textsBefore  that can be read, as far as there are any
     * @param  list<SheetElement>  $textsAfter
     */
    public static function ofPictures(
        GreyPicture $before,
        GreyPicture $after,
        float $pixel,
        array $textsBefore = [],
        array $textsAfter = [],
    ): self {
        $width = max($before->width, $after->width);
        $height = max($before->height, $after->height);
        $map = new DifferenceMap(new SheetSize($width * $pixel, $height * $pixel));
        for ($y = 0; $y < $height; $y++) {
            if ($before->row($y) === $after->row($y)) {
                continue;
            }
            foreach (self::strokes($before, $after, $y, $width) as [$from, $to]) {
                $map->went(self::stroke($from, $to, $y, $pixel));
            }
            foreach (self::strokes($after, $before, $y, $width) as [$from, $to]) {
                $map->came(self::stroke($from, $to, $y, $pixel));
            }
        }

        return new self($map->places(self::without($textsBefore, $textsAfter), self::without($textsAfter, $textsBefore)));
    }

    /**
     * @param  list<SheetElement>  $of
     * @param  list<SheetElement>  $these
     * @return list<SheetElement>
     */
    private static function without(array $of, array $these): array
    {
        $count = array_count_values(array_map(static fn(SheetElement $one): string => "={$one->is}", $these));

        return array_values(
            array_filter($of, static function (SheetElement $one) use (&$count): bool {
                $count["={$one->is}"] = ($count["={$one->is}"] ?? 0) - 1;

                return $count["={$one->is}"] < 0;
            }),
        );
    }

    /** @return list<array{int, int}> first and last pixel of ink in a row where the other has none near */
    private static function strokes(GreyPicture $of, GreyPicture $other, int $y, int $width): array
    {
        $strokes = [];
        for ($x = 0, $from = null; $x <= $width; $x++) {
            $only = $x < $width && $of->isInk($x, $y) && !$other->isInkNear($x, $y);
            if ($only) {
                $from ??= $x;
            } elseif ($from !== null) {
                $strokes[] = [$from, $x - 1];
                $from = null;
            }
        }

        return $strokes;
    }

    private static function stroke(int $from, int $to, int $y, float $pixel): Box
    {
        return new Box($from * $pixel, $y * $pixel, $to * $pixel, $y * $pixel);
    }
}
