<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Handover;

use Orthotaxis\Core\Refusal;

/**
 * How the files of a profile are called: letters, digits, points and dashes, with parts in braces. "{order}_{day}_{number}" gives
 * ECO-00091_2026-12-14_000017; the format adds its ending. A running number has to be in it: without one, a second file of the same order
 * would be laid over the first.
 */
final readonly class FileName
{
    public const LONGEST = 80;

    /** order, its first day, the day and the moment (UTC) it was written, the running number of the profile, that of the hand-over */
    public const PARTS = ['order', 'day', 'date', 'time', 'number', 'hand_over'];

    private function __construct(public string $pattern) {}

    /** @throws Refusal at "file_name" */
    public static function of(string $pattern): self
    {
        preg_match_all('/\{([^{}]*)\}/', $pattern, $parts);
        $unknown = array_diff($parts[1], self::PARTS);
        $fixed = preg_replace('/\{[^{}]*\}/', '', $pattern) ?? '';
        $fault = match (true) {
            $pattern === '' => 'Say how its files are called.',
            strlen($pattern) > self::LONGEST => sprintf('At most %d characters.', self::LONGEST),
            $unknown !== [] => sprintf(
                'There is no part {%s}. There are %s.',
                current($unknown),
                implode(', ', array_map(static fn(string $part): string => "{{$part}}", self::PARTS)),
            ),
            preg_match('/^[A-Za-z0-9._-]*$/D', $fixed) !== 1 => 'Letters, digits, points, - and _ besides the parts in braces; no folders.',
            $pattern[0] === '.' => 'It must not begin with a point.',
            !in_array('number', $parts[1], true) => 'Put {number} into it, so that no file is laid over another.',
            default => null,
        };

        return $fault === null ? new self($pattern) : throw Refusal::at('file_name', $fault);
    }

    /** @param  int  $number  the running number of the profile */
    public function for(Document $document, int $number, Format $format): string
    {
        [$date, $time] = [substr($document->written, 0, 10), str_replace(':', '', substr($document->written, 11, 8))];

        return strtr($this->pattern, [
            // A number may have been typed by a person: what a name of a file cannot have becomes a dash.
            '{order}' => preg_replace('/[^A-Za-z0-9._-]/', '-', $document->order) ?? '',
            '{day}' => $document->effectiveFrom,
            '{date}' => str_replace('-', '', $date),
            '{time}' => $time,
            '{number}' => sprintf('%06d', $number),
            '{hand_over}' => (string) $document->number,
        ]) . ".{$format->value}";
    }
}
