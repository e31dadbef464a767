<?php

declare(strict_types=1);

namespace App\Tables;

use Dompdf\Dompdf;
use Dompdf\Options;
use Orthotaxis\Core\Refusal;

/** A table as PDF, in print-safe black: a heading, what one must know, the rows, page numbers. */
final readonly class PrintedTable
{
    private const MOST_ROWS = 1_500;

    public static function write(Table $table, string $path): void
    {
        $rows = '';
        $count = 0;
        foreach ($table->rows as $row) {
            if (++$count > self::MOST_ROWS) {
                throw Refusal::at('format', 'More than '.self::MOST_ROWS.' rows are too many to print. Take them as XLSX, or ask for fewer.');
            }
            $rows .= '<tr><td>'.implode('</td><td>', array_map(self::text(...), $row)).'</td></tr>';
        }
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4', 'landscape');
        $pdf->loadHtml('<!doctype html><html><head><meta charset="utf-8"><style>
            @page { margin: 14mm 12mm 16mm } body { font-size: 8pt } h1 { font-size: 13pt; margin: 0 0 2mm } p { margin: 0 0 1mm; color: #333 }
            table { width: 100%; border-collapse: collapse; margin-top: 3mm } th, td { text-align: left; vertical-align: top; padding: 0.8mm 1.5mm; border-bottom: 0.2mm solid #999 }
            th { border-bottom: 0.4mm solid #000 } thead { display: table-header-group }
            </style></head><body><h1>'.self::text($table->title).'</h1>'.implode('', array_map(static fn (string $note): string => '<p>'.self::text($note).'</p>', $table->notes)).
            '<table><thead><tr><th>'.implode('</th><th>', array_map(self::text(...), $table->heads)).'</th></tr></thead><tbody>'.$rows.'</tbody></table></body></html>');
        $pdf->render();
        $canvas = $pdf->getCanvas();
        $canvas->page_text(760, 560, '{PAGE_NUM} / {PAGE_COUNT}', (string) $pdf->getFontMetrics()->getFont('DejaVu Sans'), 7);
        file_put_contents($path, $pdf->output());
    }

    private static function text(string|int|null $value): string
    {
        return htmlspecialchars((string) $value, ENT_QUOTES | ENT_SUBSTITUTE);
    }
}
