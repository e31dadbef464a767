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

    private const MOST = (1 << self::LENGTH) - 1;

    /** Between the fields of a line. */
    public const BETWEEN = "\x1F";

    /** The fields of a line in SQL, as LineLoader reads them. */
    public const SQL = 'concat(l.line_key, chr(31), l.find, chr(31), c.number, chr(31), l.quantity, chr(31), l.unit, chr(31), l.designators, chr(31), l.notes, chr(31),
        l.operation, chr(31), l.not_modelled, chr(31), l.phantom, chr(31), l.valid_from, chr(31), l.valid_to, chr(31),
        CASE WHEN l.pinned_id IS NOT NULL THEN (SELECT p.code FROM revisions p WHERE p.id = l.pinned_id) END,
        chr(31), l.scrap, chr(31), l.takes_over)';

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
        sort($known);
        $file =
            fopen("{$this->folder}/texts.bin", 'rb') ?:
            throw new \RuntimeException("{$this->folder} has lost its texts. Write the index anew.");
        $loader = new LineLoader();
        $lines = [];
        // The lines of one parent stand side by side: such a run is read at once.
        for ($first = 0, $count = count($known); $first < $count; $first = $next) {
            $from = $known[$first] >> self::LENGTH;
            for ($next = $first, $end = $from; $next < $count && $end >= $known[$next] >> self::LENGTH; $next++) {
                $end = ($known[$next] >> self::LENGTH) + ($known[$next] & self::MOST);
            }
            fseek($file, $from);
            $run = (string) stream_get_contents($file, $end - $from);
            for ($i = $first; $i < $next; $i++) {
                $lines[$known[$i]] = $loader->ofTexts(
                    explode(self::BETWEEN, substr($run, ($known[$i] >> self::LENGTH) - $from, $known[$i] & self::MOST)),
                );
            }
        }
        fclose($file);

        return $lines;
    }
}
