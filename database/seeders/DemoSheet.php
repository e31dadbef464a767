<?php

declare(strict_types=1);

namespace Database\Seeders;

/** Draws the sheets of the demo: simple views with a frame, a title block and, for an assembly, balloons and a parts list. */
final class DemoSheet
{
    private const WIDTH = 420;

    private const HEIGHT = 297;

    /**
     * @param  array{number: string, title: string, of: string, revision: string, date: string, material: string}  $block  what stands in
     *     the title block
     * @param  list<array{find: int, number: string, title: string, quantity: string}>  $parts  empty for a single part
     */
    public static function svg(array $block, array $parts, string $note = ''): string
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(crc32($block['of'])));
        $body = $parts === [] ? self::part($random) : self::assembly($parts);

        return '<?xml version="1.0" encoding="UTF-8"?>' .
            "\n" .
            sprintf(
                '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" width="%1$dmm" height="%2$dmm">',
                self::WIDTH,
                self::HEIGHT,
            ) .
            '<style>text{font-family:sans-serif;font-size:4px;fill:#111}.s{font-size:3px}.b{font-size:6px;font-weight:bold}.l{fill:none;stroke:#111;stroke-width:.5}.t{fill:none;stroke:#111;stroke-width:.25}.h{fill:none;stroke:#111;stroke-width:.25;stroke-dasharray:3 1.5}.c{fill:none;stroke:#111;stroke-width:.18;stroke-dasharray:6 1.5 1 1.5}</style>' .
            '<rect width="420" height="297" fill="#fff"/><rect class="l" x="10" y="10" width="400" height="277"/>' .
            $body .
            ($note === '' ? '' : "<text x='20' y='278'>" . htmlspecialchars($note, ENT_XML1) . '</text>') .
            self::block($block) .
            "</svg>\n";
    }

    /** @param  array<string, string>  $block */
    private static function block(array $block): string
    {
        $text = self::escaped($block);

        return '<g transform="translate(250 247)"><rect class="l" width="160" height="40" fill="#fff"/><path class="t" d="M0 14H160M0 27H160M100 14V40M130 27V40"/>' .
            "<text x='3' y='6' class='s'>Quillback Field Instruments</text><text x='3' y='12' class='b'>{$text['title']}</text>" .
            "<text x='3' y='19' class='s'>Drawing</text><text x='3' y='25' class='b'>{$text['number']}</text><text x='103' y='19' class='s'>Shows item</text><text x='103' y='25'>{$text['of']}</text>" .
            "<text x='3' y='32' class='s'>Material</text><text x='3' y='37'>{$text['material']}</text><text x='103' y='32' class='s'>Revision</text><text x='103' y='38' class='b'>{$text['revision']}</text>" .
            "<text x='133' y='32' class='s'>Date</text><text x='133' y='37'>{$text['date']}</text></g>";
    }

    private static function part(\Random\Randomizer $random): string
    {
        $width = $random->getInt(60, 120);
        $height = $random->getInt(40, 90);
        $depth = $random->getInt(14, 40);
        $x = 50;
        $y = 60;
        $svg = "<rect class='l' x='{$x}' y='{$y}' width='{$width}' height='{$height}' rx='" . $random->getInt(0, 8) . "'/>";
        $side = $x + $width + 50;
        $svg .= "<rect class='l' x='{$side}' y='{$y}' width='{$depth}' height='{$height}'/>";
        foreach (range(1, $random->getInt(2, 4)) as $hole) {
            $radius = $random->getInt(3, 8);
            $cx = $x + $random->getInt(12, $width - 12);
            $cy = $y + $random->getInt(12, $height - 12);
            $svg .=
                "<circle class='l' cx='{$cx}' cy='{$cy}' r='{$radius}'/><path class='c' d='M" .
                ($cx - $radius - 3) .
                " {$cy}h" .
                (2 * $radius + 6) .
                "M{$cx} " .
                ($cy - $radius - 3) .
                'v' .
                (2 * $radius + 6) .
                "'/>" .
                "<path class='h' d='M{$side} " .
                ($cy - $radius) .
                "h{$depth}M{$side} " .
                ($cy + $radius) .
                "h{$depth}'/><text x='" .
                ($cx + $radius + 2) .
                "' y='" .
                ($cy - $radius) .
                "' class='s'>⌀ " .
                2 * $radius .
                ($hole === 1 ? ' H7' : '') .
                '</text>';
        }

        return $svg .
            self::dimension($x, $y + $height + 14, $width) .
            self::dimension($side, $y + $height + 14, $depth) .
            "<text x='30' y='235' class='s'>General tolerances medium. Remove burrs. Dimensions in millimetres.</text>";
    }

    private static function dimension(int $x, int $y, int $length): string
    {
        $end = $x + $length;

        return "<path class='t' d='M{$x} " .
            ($y - 12) .
            "v14M{$end} " .
            ($y - 12) .
            "v14M{$x} {$y}h{$length}m-3 -1l3 1l-3 1M" .
            ($x + 3) .
            ' ' .
            ($y - 1) .
            "l-3 1l3 1'/><text x='" .
            ($x + intdiv($length, 2) - 3) .
            "' y='" .
            ($y - 1.5) .
            "'>{$length}</text>";
    }

    /** @param  list<array{find: int, number: string, title: string, quantity: string}>  $parts */
    private static function assembly(array $parts): string
    {
        $svg = '';
        $shown = array_slice($parts, 0, 20);
        foreach ($shown as $i => $part) {
            $x = 45 + ($i % 4) * 46;
            $y = 45 + intdiv($i, 4) * max(42, intdiv(200, intdiv(count($shown) + 3, 4)));
            // Each part looks the same on every sheet, and another one looks different.
            $random = new \Random\Randomizer(new \Random\Engine\Mt19937(crc32($part['number'])));
            $width = $random->getInt(16, 32);
            $height = $random->getInt(10, 24);
            $svg .=
                $random->getInt(0, 2) === 0
                    ? "<circle class='l' cx='{$x}' cy='{$y}' r='" . intdiv($height, 2) . "'/>"
                    : "<rect class='l' x='" .
                        ($x - intdiv($width, 2)) .
                        "' y='" .
                        ($y - intdiv($height, 2)) .
                        "' width='{$width}' height='{$height}' rx='2'/>";
            $svg .=
                "<path class='t' d='M{$x} {$y}l14 -14'/><circle class='t' cx='" .
                ($x + 18) .
                "' cy='" .
                ($y - 18) .
                "' r='5.6' fill='#fff'/><text x='" .
                ($x + 18) .
                "' y='" .
                ($y - 16.6) .
                "' text-anchor='middle'>{$part['find']}</text>";
        }
        $rows =
            "<text x='252' y='20' class='s'>Find</text><text x='264' y='20' class='s'>Item</text><text x='290' y='20' class='s'>Title</text><text x='407' y='20' class='s' text-anchor='end'>Quantity</text>";
        foreach (array_slice($parts, 0, 36) as $i => $part) {
            $y = 26 + $i * 6;
            $text = self::escaped([...$part, 'title' => mb_strimwidth($part['title'], 0, 44, '…')]);
            $rows .=
                "<path class='t' d='M250 " .
                ($y - 4.2) .
                "H410'/><text x='252' y='{$y}'>{$text['find']}</text><text x='264' y='{$y}'>{$text['number']}</text><text x='290' y='{$y}'>{$text['title']}</text><text x='407' y='{$y}' text-anchor='end'>{$text['quantity']}</text>";
        }

        return $svg . $rows;
    }

    /**
     * @param  array<string, string|int>  $texts
     * @return array<string, string>
     */
    private static function escaped(array $texts): array
    {
        return array_map(static fn(string|int $text): string => htmlspecialchars((string) $text, ENT_XML1), $texts);
    }

    /** @param  list<string>  $pages  HTML of each page */
    public static function pdf(array $pages): string
    {
        $options = new \Dompdf\Options();
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('Helvetica');
        $pdf = new \Dompdf\Dompdf($options);
        $pdf->setPaper('A4');
        $pdf->loadHtml(
            '<!doctype html><html><head><meta charset="utf-8"><style>@page{margin:22mm} body{font-size:11pt} h1{font-size:18pt} table{width:100%;border-collapse:collapse} td,th{border-bottom:.3mm solid #555;padding:1.4mm;text-align:left} section+section{page-break-before:always}</style></head><body><section>' .
                implode('</section><section>', $pages) .
                '</section></body></html>',
        );
        $pdf->render();

        return (string) $pdf->output();
    }
}
