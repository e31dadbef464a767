<?php

declare(strict_types=1);

namespace Tests\Torture;

use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use Random\Randomizer;

/** Files of every format that is read, whole and broken in every way, brought wherever files are brought. */
final readonly class BrokenFiles
{
    /** @param  array<string, Client>  $people */
    public function __construct(private array $people, private Database $database) {}

    /** @return list<array{string, ?string}> */
    public function round(Randomizer $random): array
    {
        $pick = static fn(array $among): mixed => $among[$random->getInt(0, count($among) - 1)];
        [$login, $address, $fields, $formats] = $pick([
            ['vera.stone', '/api/comparison-files', [], ['csv', 'xlsx', 'json', 'step']],
            ['ivo.tanner', '/api/imports', ['subject' => $pick(['items', 'structures', 'design'])], ['csv', 'xlsx', 'json', 'step']],
            ['clara.fenn', '/api/reports/PR-00003/files', ['role' => $pick(['evidence', 'mark_up'])], ['svg', 'pdf', 'png', 'jpg']],
            ['edda.roth', '/api/items/800-0041/files', ['role' => $pick(['sheet', 'data_sheet', 'picture'])], ['svg', 'pdf', 'png', 'jpg']],
            ['edda.roth', '/api/orders/ECO-00086/items/300-0010/sheet', [], ['csv', 'xlsx']],
            ['mira.okafor', '/api/requests/ECR-00096/returned-form', [], ['docx']],
            ['ivo.tanner', '/api/form-templates', ['name' => 'Broken ' . $random->getInt(1, 1_000_000)], ['docx']],
        ]);
        $format = $pick($random->getInt(0, 9) === 0 ? ['csv', 'xlsx', 'json', 'step', 'svg', 'pdf', 'png', 'jpg', 'docx'] : $formats);
        [$how, $content] = $this->broken($format, $random);
        $multipart = [['name' => 'file', 'contents' => $content, 'filename' => "broken.{$format}"]];
        foreach ($fields as $name => $value) {
            $multipart[] = ['name' => $name, 'contents' => $value];
        }
        $answer = $this->people[$login]->ask('POST', $address, ['multipart' => $multipart]);
        $fault = BadRequests::fault($answer);
        if ($fault === null && $address === '/api/imports' && $answer?->getStatusCode() === 200) {
            $id = (string) (json_decode((string) $answer->getBody(), true)['number'] ?? '');
            $fault = $this->database->waits(60, "SELECT state IN ('done', 'refused', 'cancelled') FROM imports WHERE id = ?", [$id])
                ? null
                : 'the import did not end as it should: ' .
                    $this->database->value('SELECT state || outcome FROM imports WHERE id = ?', [$id]);
        }

        return [["{$login} {$address} {$format}, {$how}, " . strlen($content) . ' bytes', $fault]];
    }

    /** @return array{string, string} */
    private function broken(string $format, Randomizer $random): array
    {
        $whole = $this->whole($format, $random);
        $at = $random->getInt(0, max(0, strlen($whole) - 1));

        return match ($random->getInt(0, 8)) {
            0 => ['whole', $whole],
            1 => ['cut off', substr($whole, 0, $at)],
            2 => ['its end only', substr($whole, $at)],
            3 => ['bytes turned', $this->turned($whole, $random)],
            4 => ['a piece doubled', substr($whole, 0, $at) . substr($whole, intdiv($at, 2))],
            5 => ['a piece left out', substr($whole, 0, intdiv($at, 2)) . substr($whole, $at)],
            6 => ['nothing', ''],
            7 => ['its beginning and noise', substr($whole, 0, min(64, $at)) . $random->getBytes($random->getInt(1, 60_000))],
            default => [
                'nested deep',
                match ($format) {
                    'json' => '{"format":' . str_repeat('[', $random->getInt(10, 400_000)),
                    'svg' => '<svg xmlns="http://www.w3.org/2000/svg">' . str_repeat('<g>', $random->getInt(10, 300_000)),
                    default => str_repeat($whole, $random->getInt(2, 40)),
                },
            ],
        };
    }

    private function turned(string $content, Randomizer $random): string
    {
        for ($i = $random->getInt(1, 12); $i > 0 && $content !== ''; $i--) {
            $content[$random->getInt(0, strlen($content) - 1)] = chr($random->getInt(0, 255));
        }

        return $content;
    }

    private function whole(string $format, Randomizer $random): string
    {
        $lines = "parent,find,component,quantity,unit\n";
        for ($i = 1; $i < $random->getInt(2, 400); $i++) {
            $lines .= "200-0010,{$i},310-00" . str_pad((string) ($i % 60), 2, '0', STR_PAD_LEFT) . ",{$i},pc\n";
        }

        return match ($format) {
            'csv' => $lines,
            'xlsx' => self::workbook($lines),
            'json' => (string) json_encode([
                'format' => 'orthotaxis-structure',
                'version' => 1,
                'item' => '200-0010',
                'lines' => [['parent' => '200-0010', 'find' => '10', 'component' => '310-0012', 'quantity' => '1', 'unit' => 'pc']],
            ]),
            'step'
                => "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_SCHEMA(('CONFIG_CONTROL_DESIGN'));\nENDSEC;\nDATA;\n#1=PRODUCT('200-0010','Pump head','',(#2));\n#3=PRODUCT_DEFINITION_FORMATION('A','',#1);\n#4=PRODUCT_DEFINITION('design','',#3,#9);\n#11=PRODUCT('310-0012','Connector','',(#2));\n#13=PRODUCT_DEFINITION_FORMATION('A','',#11);\n#14=PRODUCT_DEFINITION('design','',#13,#9);\n#20=NEXT_ASSEMBLY_USAGE_OCCURRENCE('1','','',#4,#14,\$);\nENDSEC;\nEND-ISO-10303-21;\n",
            'svg' => '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">' .
                str_repeat('<path d="M0 0L9 9"/>', $random->getInt(1, 3_000)) .
                '</svg>',
            'pdf'
                => "%PDF-1.4\n1 0 obj << /Type /Catalog /Pages 2 0 R >> endobj\n2 0 obj << /Type /Pages /Kids [] /Count 0 >> endobj\nxref\n0 3\ntrailer << /Root 1 0 R >>\nstartxref\n9\n%%EOF\n",
            'png' => (string) base64_decode(
                'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
            ),
            'jpg' => (string) base64_decode(
                '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wgALCAABAAEBAREA/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQABPxA=',
            ),
            default => self::document(),
        };
    }

    private static function workbook(string $lines): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'torture-');
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        foreach (explode("\n", trim($lines)) as $line) {
            $writer->addRow(WriterEntityFactory::createRowFromArray(explode(',', $line)));
        }
        $writer->close();

        return self::taken($path);
    }

    private static function document(): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'torture-');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        $w = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
        $zip->addFromString(
            '[Content_Types].xml',
            '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
        );
        $zip->addFromString(
            '_rels/.rels',
            '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
        );
        $zip->addFromString(
            'word/document.xml',
            "<?xml version=\"1.0\"?><w:document xmlns:w=\"{$w}\"><w:body>" .
                str_repeat(
                    '<w:sdt><w:sdtPr><w:tag w:val="form"/></w:sdtPr><w:sdtContent><w:p><w:r><w:t>FF-00001</w:t></w:r></w:p></w:sdtContent></w:sdt>',
                    40,
                ) .
                '</w:body></w:document>',
        );
        $zip->close();

        return self::taken($path);
    }

    private static function taken(string $path): string
    {
        $content = (string) file_get_contents($path);
        unlink($path);

        return $content;
    }
}
