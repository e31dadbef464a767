<?php

declare(strict_types=1);

namespace App\Sheets;

use Orthotaxis\Core\Revision\Phase;
use setasign\Fpdi\PdfParser\StreamReader;
use setasign\Fpdi\Tcpdf\Fpdi;

/** The paper on which a sheet is stamped, in millimetres: a band above each page, and a page of its history. */
final class SheetPaper
{
    private const BAND = 20;

    private const CODE = 17;

    private const FONT = 'dejavusans';

    private const BOLD = 'dejavusansb';

    /** PDF/A-3b (ISO 19005-3): what is drawn may shine through. */
    private const PDFA = 3;

    private readonly Fpdi $pdf;

    public function __construct(private readonly SheetFacts $facts, private readonly SheetWords $words, private readonly string $address)
    {
        $this->pdf = new Fpdi('P', 'mm', 'A4', true, 'UTF-8', false, self::PDFA);
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->SetAutoPageBreak(false);
        $this->pdf->SetMargins(0, 0, 0);
        $this->pdf->SetCreator('Orthotaxis');
        $this->pdf->SetTitle("{$facts->number} {$facts->revision}, {$facts->title}");
        $this->pdf->SetLanguageArray(['a_meta_language' => $words->language]);
    }

    /** @param  string  $drawn  a PDF with classic references */
    public function pages(string $drawn): void
    {
        $count = $this->pdf->setSourceFile(StreamReader::createByString($drawn));
        for ($page = 1; $page <= $count; $page++) {
            $sheet = $this->pdf->importPage($page);
            /** @var array{width: float, height: float} $size */
            $size = $this->pdf->getTemplateSize($sheet);
            $this->begin($size['width'], $size['height']);
            $this->pdf->useTemplate($sheet, 0, self::BAND, $size['width'], $size['height']);
            $this->marks($page, $size['width'], $size['height']);
            $this->stamp($size['width'], $size['height'], "{$page}/{$count}");
        }
    }

    public function picture(string $path): void
    {
        [$width, $height] = getimagesize($path) ?: [1, 1];
        // As wide as a sheet of A4 across.
        [$w, $h] = [297.0, (297.0 * $height) / max(1, $width)];
        $this->begin($w, $h);
        $this->pdf->Image($path, 0, self::BAND, $w, $h);
        $this->marks(1, $w, $h);
        $this->stamp($w, $h, '1/1');
    }

    public function history(): void
    {
        $this->pdf->AddPage('P', 'A4');
        $this->band(210);
        $this->text(self::BOLD, 12, 10, self::BAND + 8, 190, $this->words->say('history'));
        $y = self::BAND + 18.0;
        $columns = [10 => 18, 28 => 24, 52 => 32, 84 => 62, 146 => 24, 170 => 32];
        $heads = ['revision', 'from', 'author', 'done', 'order', 'signed'];
        $this->row($y, $columns, array_map($this->words->say(...), $heads), self::BOLD);
        foreach ($this->facts->history as $line) {
            $y = $this->row($y + 6, $columns, [
                $line->revision,
                $this->words->day($line->from),
                $line->author,
                $line->doneIn($this->words->language),
                $line->order,
                implode(', ', $line->signers),
            ]);
            $y = $this->further($y);
        }
        foreach ($this->facts->marks as $at => $mark) {
            if ($at === 0) {
                $y = $this->further($this->row($y + 12, [10 => 190], [$this->words->say('marks')], self::BOLD));
            }
            $y = $this->further($this->row($y + 6, [10 => 18, 28 => 172], [$mark->zone, $mark->note]));
        }
        $this->text(self::FONT, 7, 10, 287, 190, $this->words->say('original'));
    }

    public function written(): string
    {
        $written = $this->pdf->Output('', 'S');

        return is_string($written) ? $written : '';
    }

    private function begin(float $width, float $height): void
    {
        $all = $height + self::BAND;
        $this->pdf->AddPage($width > $all ? 'L' : 'P', [$width, $all]);
    }

    /** A triangle with the revision in it, its tip where something has changed. */
    private function marks(int $page, float $width, float $height): void
    {
        $this->pdf->SetDrawColor(160, 30, 20);
        $this->pdf->SetTextColor(160, 30, 20);
        $this->pdf->SetLineWidth(0.4);
        foreach ($this->facts->marks as $mark) {
            if ($mark->page === $page) {
                [$x, $y] = [$mark->left * $width, self::BAND + $mark->top * $height];
                $this->pdf->Polygon([$x, $y, $x + 7, $y - 3.6, $x + 7, $y + 3.6], 'D');
                $this->text(self::BOLD, 6, $x + 2.6, $y - 1.5, 4.4, $this->facts->revision, 'C');
            }
        }
        $this->pdf->SetDrawColor(0);
        $this->pdf->SetTextColor(0);
    }

    /** Where the next row begins: on a new page, where this one is full. */
    private function further(float $y): float
    {
        if ($y <= 270) {
            return $y;
        }
        $this->pdf->AddPage('P', 'A4');
        $this->band(210);

        return self::BAND + 4.0;
    }

    private function stamp(float $width, float $height, string $page): void
    {
        $this->band($width, $page);
        if ($this->facts->phase === Phase::InForce || $this->facts->phase === Phase::Coming) {
            return;
        }
        // Nobody takes it for what holds, whichever part of it they look at.
        $this->pdf->StartTransform();
        $this->pdf->SetAlpha(0.16);
        $this->pdf->SetTextColor(160, 30, 20);
        $this->pdf->Rotate(28, $width / 2, self::BAND + $height / 2);
        $size = min($width, $height) / 2.2;
        $this->text(self::BOLD, $size, 0, self::BAND + $height / 2 - $size * 0.2, $width, $this->words->phase($this->facts->phase), 'C');
        $this->pdf->StopTransform();
        $this->pdf->SetAlpha(1);
        $this->pdf->SetTextColor(0);
    }

    private function band(float $width, string $page = ''): void
    {
        $facts = $this->facts;
        $this->pdf->SetTextColor(0);
        $this->pdf->SetDrawColor(0);
        $this->pdf->SetLineWidth(0.3);
        $this->pdf->Line(0, self::BAND - 0.6, $width, self::BAND - 0.6);
        $sign = match ($facts->phase) {
            Phase::InForce => '■',
            Phase::Coming => '▷',
            Phase::Superseded, Phase::Obsolete => '✕',
            default => '□',
        };
        $right = $width - ($this->address === '' ? 4 : self::CODE + 6);
        $this->text(self::BOLD, 13, 4, 2, 78, "{$sign} {$this->words->phase($facts->phase)}");
        $this->text(self::FONT, 7, 4, 9, 78, $this->words->say('as_of', ['day' => $this->words->day($facts->day)]));
        $this->text(self::FONT, 7, 4, 13, 78, $this->outlook());
        $this->text(self::BOLD, 9, 84, 2.4, $right - 84, trim("{$facts->number} {$facts->revision}") . "  {$facts->title}");
        $this->text(self::FONT, 7, 84, 9, $right - 84, $this->validity());
        $said = [
            $facts->order === '' ? '' : "{$this->words->say('order')} {$facts->order}",
            $facts->signers === [] ? '' : "{$this->words->say('signed')} " . implode(', ', $facts->signers),
            $page === '' ? '' : "{$this->words->say('page')} {$page}",
        ];
        $this->text(self::FONT, 7, 84, 13, $right - 84, implode('  ·  ', array_filter($said)));
        if ($this->address !== '') {
            $this->pdf->write2DBarcode($this->address, 'QRCODE,M', $width - self::CODE - 3, 1.2, self::CODE, self::CODE);
        }
    }

    private function validity(): string
    {
        $facts = $this->facts;

        return match (true) {
            $facts->from === null => $this->words->say('not_released'),
            $facts->to === null => $this->words->say('valid_from', ['from' => $this->words->day($facts->from)]),
            default => $this->words->say('valid', ['from' => $this->words->day($facts->from), 'to' => $this->words->day($facts->to)]),
        };
    }

    /** What takes its place, and from when. */
    private function outlook(): string
    {
        $facts = $this->facts;
        if ($facts->next === '') {
            return $this->address === '' ? '' : $this->words->say('scan');
        }
        $with = ['next' => $facts->next, 'from' => $this->words->day($facts->nextFrom)];

        return match (true) {
            $facts->nextFrom === null => $this->words->say('replaced_by', $with),
            $facts->phase->isPast() => $this->words->say('replaced', $with),
            default => $this->words->say('until', $with),
        };
    }

    /**
     * @param  array<int, int>  $columns  widths by where they begin
     * @param  list<string>  $texts
     * @return float where the next one may begin
     */
    private function row(float $y, array $columns, array $texts, string $font = self::FONT): float
    {
        $this->pdf->SetFont($font, '', 7.5);
        $lowest = $y;
        $at = 0;
        foreach ($columns as $x => $width) {
            $this->pdf->MultiCell($width - 2, 4, $texts[$at++], 0, 'L', false, 1, $x, $y);
            $lowest = max($lowest, $this->pdf->GetY());
        }
        $this->pdf->Line(10, $lowest + 1, 200, $lowest + 1);

        return $lowest - 3;
    }

    private function text(string $font, float $size, float $x, float $y, float $width, string $text, string $align = 'L'): void
    {
        $this->pdf->SetFont($font, '', $size);
        $this->pdf->SetXY($x, $y);
        $this->pdf->Cell($width, $size * 0.45, $text, 0, 0, $align, false, '', 1);
    }
}
