<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Text\CsvRow;

/** The three open formats a hand-over is written in. All say the same. */
enum Format: string
{
    case Xml = 'xml';
    case Json = 'json';
    case Csv = 'csv';

    public const XML_NAMESPACE = 'urn:orthotaxis:hand-over:2';

    public function mediaType(): string
    {
        return match ($this) {
            self::Xml => 'application/xml',
            self::Json => 'application/json',
            self::Csv => 'text/csv',
        };
    }

    public function write(Document $document): string
    {
        return match ($this) {
            self::Xml => self::xml($document),
            self::Json => self::json($document),
            self::Csv => self::csv($document),
        };
    }

    private static function xml(Document $document): string
    {
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'handOver', self::XML_NAMESPACE);
        foreach (
            [
                'order' => $document->order,
                'number' => $document->number,
                'written' => $document->written,
                'effectiveFrom' => $document->effectiveFrom,
            ]
            as $name => $value
        ) {
            $xml->writeAttribute($name, (string) $value);
        }
        $xml->writeElement('title', $document->title);
        foreach ($document->records() as $record) {
            $xml->startElement('entry');
            foreach ($record as $name => $value) {
                if ($value !== null && $name !== 'notes') {
                    $xml->writeAttribute($name === 'entry' ? 'number' : $name, (string) $value);
                }
            }
            if (($record['notes'] ?? '') !== '') {
                $xml->writeElement('notes', (string) $record['notes']);
            }
            $xml->endElement();
        }
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    private static function json(Document $document): string
    {
        return json_encode(
            [
                'order' => $document->order,
                'number' => $document->number,
                'written' => $document->written,
                'effective_from' => $document->effectiveFrom,
                'title' => $document->title,
                'entries' => $document->records(),
            ],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        ) . "\n";
    }

    /** RFC 4180: comma, double quotes, CRLF, a header row. */
    private static function csv(Document $document): string
    {
        $rows = [];
        foreach ($document->records() as $i => $record) {
            $record = ['order' => $document->order, 'effective_from' => $document->effectiveFrom] + $record;
            if ($i === 0) {
                $rows[] = array_keys($record);
            }
            $rows[] = array_values($record);
        }

        return implode('', array_map(CsvRow::of(...), $rows));
    }
}
