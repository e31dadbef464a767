<?php

declare(strict_types=1);

namespace App\Forms\Docx;

use Orthotaxis\Core\Refusal;
use ZipArchive;

/** A word-processing document as the package of parts that it is (ECMA-376, part 2). Looked at before anything is unpacked. */
final readonly class Package
{
    public const MEDIA_TYPE = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';

    private const BODY = 'word/document.xml';

    private const RELATIONS = 'word/_rels/document.xml.rels';

    private const MOST_PARTS = 500;

    /** Bytes, unpacked: of one part, and of all that are read. */
    private const LARGEST_PART = 20_000_000;

    private const MOST_BYTES = 60_000_000;

    /**
     * @param  array<string, string>  $parts  name => content, of the parts that are of interest: body, its relations, pictures
     */
    private function __construct(private string $path, private array $parts) {}

    /** @throws Refusal when it is no such document, damaged, far too large when unpacked, or carries programs */
    public static function open(string $path): self
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw Refusal::at(
                'file',
                file_get_contents($path, length: 4) === "PK\x03\x04"
                    ? 'The file is damaged: it breaks off, or was altered. Save it again and send it once more.'
                    : 'Not a DOCX document.',
            );
        }
        try {
            $parts = [];
            $bytes = 0;
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $told = $zip->statIndex($i);
                if ($told === false || $i > self::MOST_PARTS || $told['size'] > self::LARGEST_PART) {
                    throw Refusal::at('file', 'The file is far too large when unpacked.');
                }
                if (preg_match('~vbaProject|vbaData|\.bin$|/activeX/~i', $told['name']) === 1) {
                    throw Refusal::at('file', 'The document carries macros or other programs. Save it as a plain DOCX.');
                }
                if (in_array($told['name'], [self::BODY, self::RELATIONS], true) || str_starts_with($told['name'], 'word/media/')) {
                    if (($bytes += $told['size']) > self::MOST_BYTES) {
                        throw Refusal::at('file', 'The file is far too large when unpacked.');
                    }
                    $content = $zip->getFromIndex($i);
                    $parts[$told['name']] =
                        $content === false ? throw Refusal::at('file', 'The file is damaged: a part of it cannot be unpacked.') : $content;
                }
            }
        } finally {
            $zip->close();
        }
        if (!isset($parts[self::BODY])) {
            throw Refusal::at('file', 'Not a DOCX document.');
        }

        return new self($path, $parts);
    }

    public function body(): string
    {
        return $this->parts[self::BODY];
    }

    /** The content of a picture that the body names by a relationship; null when there is none. */
    public function picture(string $relationship): ?string
    {
        $relations = new \DOMDocument();
        if ($relationship === '' || !@$relations->loadXML($this->parts[self::RELATIONS] ?? '<none/>', LIBXML_NONET)) {
            return null;
        }
        foreach ($relations->getElementsByTagNameNS('*', 'Relationship') as $one) {
            if ($one->getAttribute('Id') === $relationship) {
                return $this->parts['word/' . ltrim(str_replace('/word/', '', $one->getAttribute('Target')), '/')] ?? null;
            }
        }

        return null;
    }

    /** Writes the same document with another body. */
    public function withBody(string $body, string $to): void
    {
        copy($this->path, $to);
        $zip = new ZipArchive();
        $zip->open($to);
        $zip->addFromString(self::BODY, $body);
        $zip->close();
    }
}
