<?php

declare(strict_types=1);

namespace App\Tables;

use App\Http\Slots;
use Carbon\CarbonImmutable;
use Dompdf\Dompdf;
use Dompdf\Options;
use Orthotaxis\Core\Refusal;

/**
 * A table as PDF, in print-safe black: what it is and what one must know to read it, the rows under a head that every page
 * repeats, and at the foot of each page the title, the day and the page of how many.
 */
final readonly class PrintedTable
{
    public const MOST_ROWS = 1_500;

    private const MOST_CELLS = 15_000;

    /** Laying out a page takes its time: so many are printed at once. */
    private const AT_ONCE = 2;

    private const FONT = 'DejaVu Sans';

    private const STYLE = '
        @page { margin: 14mm 12mm 18mm } body { font-size: 8pt } h1 { font-size: 13pt; margin: 0 0 2mm } p { margin: 0 0 1mm; color: #333 }
        table { width: 100%; border-spacing: 0; margin-top: 3mm } thead { display: table-header-group } tr { page-break-inside: avoid }
        th, td { text-align: left; vertical-align: top; padding: 0.8mm 1.5mm; border-bottom: 0.2mm solid #999 }
        th { border-bottom: 0.4mm solid #000 } .right { text-align: right; white-space: nowrap }';

    /** @throws Refusal when it is too long, or others are printing */
    public static function write(Table $table, string $path): void
    {
        $html = self::html($table);
        Slots::in(
            'a table is printed',
            self::AT_ONCE,
            60,
            static fn() => self::draw($table, $html, $path),
            static fn(): Refusal => Refusal::at('format', 'Others are printing at the moment. Try again in a few seconds, or export XLSX.'),
        );
    }

    private static function draw(Table $table, string $html, string $path): void
    {
        $options = new Options();
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setDefaultFont(self::FONT);
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4', 'landscape');
        $pdf->loadHtml($html);
        $pdf->render();
        $canvas = $pdf->getCanvas();
        $font = (string) $pdf->getFontMetrics()->getFont(self::FONT);
        $canvas->page_text(34, 565, "{$table->title} · printed " . CarbonImmutable::now()->format('j M Y'), $font, 7);
        $canvas->page_text(750, 565, 'Page {PAGE_NUM} of {PAGE_COUNT}', $font, 7);
        file_put_contents($path, $pdf->output());
    }

    /** @throws Refusal when it is too long to print */
    public static function html(Table $table): string
    {
        $places = array_map(static fn(string $head): string => in_array($head, $table->right, true) ? ' class="right"' : '', $table->heads);
        $rows = '';
        $count = 0;
        foreach ($table->rows as $row) {
            if (++$count > self::MOST_ROWS || $count * count($table->heads) > self::MOST_CELLS) {
                throw Refusal::at(
                    'format',
                    'More than ' .
                        min(self::MOST_ROWS, intdiv(self::MOST_CELLS, count($table->heads))) .
                        ' rows of this table are too many to print. Export XLSX, or choose fewer.',
                );
            }
            $rows .= '<tr>' . self::cells('td', $row, $places) . '</tr>';
        }

        return '<!doctype html><html><head><meta charset="utf-8"><style>' .
            self::STYLE .
            '</style></head><body><h1>' .
            self::text($table->title) .
            '</h1>' .
            implode('', array_map(static fn(string $note): string => '<p>' . self::text($note) . '</p>', $table->notes)) .
            '<table><thead><tr>' .
            self::cells('th', $table->heads, $places) .
            "</tr></thead><tbody>{$rows}</tbody></table></body></html>";
    }

    /**
     * @param  list<string|int|null>  $values
     * @param  list<string>  $places
     */
    private static function cells(string $tag, array $values, array $places): string
    {
        return implode(
            '',
            array_map(
                static fn(string|int|null $value, string $place): string => "<{$tag}{$place}>" . self::text($value) . "</{$tag}>",
                $values,
                $places,
            ),
        );
    }

    private static function text(string|int|null $value): string
    {
        return htmlspecialchars((string) $value, ENT_QUOTES | ENT_SUBSTITUTE);
    }
}
