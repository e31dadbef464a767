<?php

declare(strict_types=1);

namespace App\Forms\Docx;

use ZipArchive;

/** A form to begin with, made of headings, words and rows of content controls. People lay out their own in a word processor. */
final class Draft
{
    private const NAMESPACES = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" xmlns:w14="http://schemas.microsoft.com/office/word/2010/wordml" xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture" xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006" mc:Ignorable="w14"';

    /** A grey sheet of 8 by 5 points, PNG: where a picture goes. */
    private const NO_PICTURE = 'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAFCAAAAABd+vKJAAAADklEQVR4nGO4CwUMRDAACU4iiQdx2m4AAAAASUVORK5CYII=';

    private string $body = '';

    private int $next = 100;

    public function heading(string $text, int $level = 1): self
    {
        $this->body .= '<w:p><w:pPr><w:pStyle w:val="Heading' . $level . '"/></w:pPr>' . self::run($text) . '</w:p>';

        return $this;
    }

    public function words(string $text, string ...$controls): self
    {
        $this->body .= '<w:p>' . self::run($text) . implode(self::run(' '), $controls) . '</w:p>';

        return $this;
    }

    /**
     * A table of rows, the first cell of each in bold.
     *
     * @param  list<list<string>>  $rows  cells; text is made by cell()
     * @param  list<int>  $widths  twentieths of a point
     */
    public function table(array $widths, array $rows): self
    {
        $border = static fn(string $side): string => "<w:{$side} w:val=\"single\" w:sz=\"4\" w:space=\"0\" w:color=\"9A9A9A\"/>";
        $this->body .=
            '<w:tbl><w:tblPr><w:tblW w:w="' .
            array_sum($widths) .
            '" w:type="dxa"/><w:tblBorders>' .
            implode('', array_map($border, ['top', 'left', 'bottom', 'right', 'insideH', 'insideV'])) .
            '</w:tblBorders><w:tblLayout w:type="fixed"/><w:tblCellMar><w:left w:w="100" w:type="dxa"/><w:right w:w="100" w:type="dxa"/></w:tblCellMar></w:tblPr><w:tblGrid>' .
            implode('', array_map(static fn(int $width): string => "<w:gridCol w:w=\"{$width}\"/>", $widths)) .
            '</w:tblGrid>';
        foreach ($rows as $cells) {
            $this->body .= '<w:tr>';
            foreach ($cells as $i => $cell) {
                $whole = str_contains($cell, '<w:p>') ? $cell : self::paragraph($cell);
                $this->body .= "<w:tc><w:tcPr><w:tcW w:w=\"{$widths[$i]}\" w:type=\"dxa\"/></w:tcPr>{$whole}</w:tc>";
            }
            $this->body .= '</w:tr>';
        }
        $this->body .= '</w:tbl><w:p><w:pPr><w:spacing w:after="0"/></w:pPr></w:p>';

        return $this;
    }

    public static function cell(string $text, bool $bold = false): string
    {
        return self::run($text, $bold ? '<w:b/>' : '');
    }

    /** @param  bool  $locked  whether only we write it */
    public function text(string $tag, string $title, string $hint = 'Write here', bool $locked = false): string
    {
        return $this->control(
            $tag,
            $title,
            ($locked ? '<w:lock w:val="sdtContentLocked"/>' : '') . '<w:showingPlcHdr/><w:text w:multiLine="1"/>',
            self::hint($hint),
        );
    }

    /** A whole cell for text of many lines, each a paragraph: some word processors lose breaks inside of a control. */
    public function lines(string $tag, string $title, string $hint = 'Write here'): string
    {
        return $this->control($tag, $title, '<w:showingPlcHdr/>', self::paragraph(self::hint($hint)));
    }

    public function check(string $tag, string $title): string
    {
        return $this->control(
            $tag,
            $title,
            '<w14:checkbox><w14:checked w14:val="0"/><w14:checkedState w14:val="2612" w14:font="MS Gothic"/><w14:uncheckedState w14:val="2610" w14:font="MS Gothic"/></w14:checkbox>',
            self::run('☐', '<w:rFonts w:ascii="MS Gothic" w:eastAsia="MS Gothic" w:hAnsi="MS Gothic" w:hint="eastAsia"/>'),
        );
    }

    public function day(string $tag, string $title, string $hint = 'year-month-day'): string
    {
        return $this->control(
            $tag,
            $title,
            '<w:showingPlcHdr/><w:date><w:dateFormat w:val="yyyy-MM-dd"/><w:lid w:val="en-GB"/><w:storeMappedDataAs w:val="dateTime"/><w:calendar w:val="gregorian"/></w:date>',
            self::hint($hint),
        );
    }

    /** @param  array<string, string>  $options  value => text; empty where the record fills them */
    public function choice(string $tag, string $title, array $options, string $hint = 'Choose'): string
    {
        $items = '';
        foreach ($options as $value => $text) {
            $items .= '<w:listItem w:displayText="' . self::plain($text) . '" w:value="' . self::plain($value) . '"/>';
        }

        return $this->control($tag, $title, "<w:showingPlcHdr/><w:dropDownList>{$items}</w:dropDownList>", self::hint($hint));
    }

    public function picture(string $tag, string $title): string
    {
        [$id, $wide, $high] = [$this->next++, 2_400_000, 1_500_000];

        return $this->control(
            $tag,
            $title,
            '<w:picture/>',
            "<w:r><w:drawing><wp:inline distT=\"0\" distB=\"0\" distL=\"0\" distR=\"0\"><wp:extent cx=\"{$wide}\" cy=\"{$high}\"/><wp:docPr id=\"{$id}\" name=\"" .
                self::plain($title) .
                "\"/><a:graphic><a:graphicData uri=\"http://schemas.openxmlformats.org/drawingml/2006/picture\"><pic:pic><pic:nvPicPr><pic:cNvPr id=\"{$id}\" name=\"picture\"/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip r:embed=\"rIdPicture\"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill><pic:spPr><a:xfrm><a:off x=\"0\" y=\"0\"/><a:ext cx=\"{$wide}\" cy=\"{$high}\"/></a:xfrm><a:prstGeom prst=\"rect\"><a:avLst/></a:prstGeom></pic:spPr></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r>",
        );
    }

    public function save(string $path): void
    {
        $declare = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>' . "\n";
        $word = 'application/vnd.openxmlformats-officedocument.wordprocessingml';
        $relation = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $style = static fn(
            string $id,
            string $name,
            int $size,
            int $before,
        ): string => "<w:style w:type=\"paragraph\" w:styleId=\"{$id}\"><w:name w:val=\"{$name}\"/><w:basedOn w:val=\"Normal\"/><w:next w:val=\"Normal\"/><w:qFormat/><w:pPr><w:keepNext/><w:spacing w:before=\"{$before}\" w:after=\"80\"/></w:pPr><w:rPr><w:b/><w:sz w:val=\"{$size}\"/></w:rPr></w:style>";
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $zip->addFromString(
            '[Content_Types].xml',
            "{$declare}<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Default Extension=\"xml\" ContentType=\"application/xml\"/><Default Extension=\"png\" ContentType=\"image/png\"/><Default Extension=\"jpeg\" ContentType=\"image/jpeg\"/><Override PartName=\"/word/document.xml\" ContentType=\"{$word}.document.main+xml\"/><Override PartName=\"/word/styles.xml\" ContentType=\"{$word}.styles+xml\"/></Types>",
        );
        $zip->addFromString(
            '_rels/.rels',
            "{$declare}<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"rId1\" Type=\"{$relation}/officeDocument\" Target=\"word/document.xml\"/></Relationships>",
        );
        $zip->addFromString(
            'word/_rels/document.xml.rels',
            "{$declare}<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"rIdStyles\" Type=\"{$relation}/styles\" Target=\"styles.xml\"/><Relationship Id=\"rIdPicture\" Type=\"{$relation}/image\" Target=\"media/picture.png\"/></Relationships>",
        );
        $zip->addFromString(
            'word/styles.xml',
            "{$declare}<w:styles " .
                self::NAMESPACES .
                '><w:docDefaults><w:rPrDefault><w:rPr><w:rFonts w:ascii="Arial" w:hAnsi="Arial" w:cs="Arial"/><w:sz w:val="20"/><w:lang w:val="en-GB"/></w:rPr></w:rPrDefault><w:pPrDefault><w:pPr><w:spacing w:after="80"/></w:pPr></w:pPrDefault></w:docDefaults><w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/></w:style>' .
                $style('Heading1', 'heading 1', 32, 0) .
                $style('Heading2', 'heading 2', 24, 240) .
                '</w:styles>',
        );
        $zip->addFromString('word/media/picture.png', (string) base64_decode(self::NO_PICTURE, true));
        $zip->addFromString(
            'word/document.xml',
            "{$declare}<w:document " .
                self::NAMESPACES .
                "><w:body>{$this->body}<w:sectPr><w:pgSz w:w=\"11906\" w:h=\"16838\"/><w:pgMar w:top=\"1000\" w:right=\"1000\" w:bottom=\"1000\" w:left=\"1000\" w:header=\"600\" w:footer=\"600\" w:gutter=\"0\"/></w:sectPr></w:body></w:document>",
        );
        $zip->close();
    }

    private function control(string $tag, string $title, string $what, string $content): string
    {
        $id = $this->next++;

        return '<w:sdt><w:sdtPr><w:alias w:val="' .
            self::plain($title) .
            '"/><w:tag w:val="' .
            self::plain($tag) .
            "\"/><w:id w:val=\"{$id}\"/>{$what}</w:sdtPr><w:sdtContent>{$content}</w:sdtContent></w:sdt>";
    }

    private static function paragraph(string $runs): string
    {
        return "<w:p><w:pPr><w:spacing w:before=\"60\" w:after=\"60\"/></w:pPr>{$runs}</w:p>";
    }

    private static function hint(string $text): string
    {
        return self::run($text, '<w:color w:val="6B6B6B"/>');
    }

    private static function run(string $text, string $looks = ''): string
    {
        return '<w:r>' .
            ($looks === '' ? '' : "<w:rPr>{$looks}</w:rPr>") .
            '<w:t xml:space="preserve">' .
            self::plain($text) .
            '</w:t></w:r>';
    }

    private static function plain(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
    }
}
