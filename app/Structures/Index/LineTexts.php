<?php

declare(strict_types=1);

namespace App\Structures\Index;

use App\Structures\LineLoader;
use Orthotaxis\Core\Structure\Line;

/**
 * All that the lines of a version say, one after another in one file: lines that differ are read from it without asking the
 * database. A line is known by where its text stands: the place times 2^14, plus its length.
 */
final class LineTexts
{
    private const LENGTH = 14;

    /** Between the fields of a line. */
    public const BETWEEN = "\x1F";

    /** The fields of a line in SQL, as LineLoader reads them. */
    public const SQL = 'concat(l.line_key, chr(31), l.find, chr(31), c.number, chr(31), l.quantity, chr(31), l.unit, chr(31), l.designators, chr(31), l.notes, chr(31),
        l.operation, chr(31), l.not_modelled, chr(31), l.phantom, chr(31), l.valid_from, chr(31), l.valid_to, chr(31),
        CASE WHEN l.pinned_id IS NOT NULL THEN (SELECT p.code FROM revisions p WHERE p.id = l.pinned_id) END)';

    /** @var resource|null */
    private $file;

    private int $end = 0;

    public function __construct(private readonly string $folder) {}

    /** Writes a text at the end of the file. @return int what the line is known by */
    public function write(string $text): int
    {
        $this->file ??= fopen("{$this->folder}/texts.bin", 'wb') ?: throw new \RuntimeException("Cannot write to {$this->folder}.");
        fwrite($this->file, $text);
        $known = ($this->end << self::LENGTH) | strlen($text);
        $this->end += strlen($text);

        return $known;
    }

    /**
     * @param  list<int>  $known
     * @return array<int, Line>
     */
    public function read(array $known): array
    {
        // In the order of the file, what stands side by side is read at once by the system.
        sort($known);
        $file = fopen("{$this->folder}/texts.bin", 'rb') ?: throw new \RuntimeException("{$this->folder} has lost its texts. Write the index anew.");
        $loader = new LineLoader;
        $lines = [];
        foreach ($known as $one) {
            fseek($file, $one >> self::LENGTH);
            $lines[$one] = $loader->ofTexts(explode(self::BETWEEN, (string) fread($file, max(1, $one & ((1 << self::LENGTH) - 1)))));
        }
        fclose($file);

        return $lines;
    }
}
