<?php

declare(strict_types=1);

namespace Orthotaxis\Core\StepFile;

/** Cuts the clear text of ISO 10303-21 into statements, a piece at a time: nothing but the statement at hand is kept. */
final readonly class Statements
{
    private const LONGEST = 50_000_000;

    /**
     * @param  iterable<string>  $pieces  of the file, cut anywhere
     * @return \Generator<int, string> without the semicolon, comments and line ends left out
     */
    public static function of(iterable $pieces): \Generator
    {
        $statement = '';
        $rest = '';
        $mode = ''; // ' inside a text, * inside a comment
        foreach ($pieces as $piece) {
            $text = $rest . $piece;
            $rest = '';
            $length = strlen($text);
            for ($at = 0; $at < $length; ) {
                if ($mode === '*') {
                    $end = strpos($text, '*/', $at);
                    if ($end === false) {
                        $rest = str_ends_with($text, '*') ? '*' : '';
                        break;
                    }
                    $mode = '';
                    $at = $end + 2;

                    continue;
                }
                $plain = strcspn($text, $mode === "'" ? "'" : "';/", $at);
                $statement .= substr($text, $at, $plain);
                $at += $plain;
                if ($at >= $length) {
                    break;
                }
                $sign = $text[$at];
                if ($sign === '/' && $at + 1 === $length) {
                    $rest = '/';
                    break;
                }
                $at++;
                if ($sign === "'") {
                    $mode = $mode === '' ? "'" : '';
                    $statement .= $sign;
                } elseif ($sign === ';') {
                    yield trim(str_replace(["\r", "\n"], '', $statement));
                    $statement = '';
                } elseif ($text[$at] === '*') {
                    $mode = '*';
                    $at++;
                } else {
                    $statement .= $sign;
                }
            }
            if (strlen($statement) > self::LONGEST) {
                throw new \LengthException('A statement of this file does not end.');
            }
        }
    }
}
