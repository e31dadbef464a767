<?php

declare(strict_types=1);

namespace Orthotaxis\Core\StepFile;

/** The arguments of an entity in ISO 10303-21: texts, references and lists are what we read; all else stays as it is written. */
final class Value
{
    private int $at = 0;

    private function __construct(private readonly string $text) {}

    /** @return list<string|list<mixed>> a reference as "#12", a text decoded, "$" and "*" as they are */
    public static function arguments(string $text): array
    {
        return (new self($text))->items();
    }

    /** @return list<string|list<mixed>> */
    private function items(): array
    {
        $items = [];
        while ($this->at < strlen($this->text)) {
            $sign = $this->text[$this->at];
            if ($sign === ')') {
                $this->at++;

                return $items;
            }
            if ($sign === ',' || $sign === ' ' || $sign === "\t") {
                $this->at++;
            } elseif ($sign === '(') {
                $this->at++;
                $items[] = $this->items();
            } elseif ($sign === "'") {
                $items[] = $this->words();
            } else {
                $plain = strcspn($this->text, ',()', $this->at);
                $items[] = trim(substr($this->text, $this->at, $plain));
                $this->at += $plain;
            }
        }

        return $items;
    }

    private function words(): string
    {
        $words = '';
        for ($this->at++; $this->at < strlen($this->text); $this->at++) {
            if ($this->text[$this->at] === "'") {
                if (($this->text[$this->at + 1] ?? '') !== "'") {
                    break;
                }
                $this->at++;
            }
            $words .= $this->text[$this->at];
        }
        $this->at++;

        return self::decoded($words);
    }

    /** \X2\00E4\X0\ and \X4\…\X0\ are letters by their code, \X\E4 and \S\d those of ISO 8859-1, \\ a backslash. */
    private static function decoded(string $words): string
    {
        $words = (string) preg_replace_callback(
            '/\\\\X([24])\\\\([0-9A-Fa-f]+)\\\\X0\\\\/',
            static fn(array $match): string => (string) mb_convert_encoding(
                (string) hex2bin(str_pad($match[2], (int) ceil(strlen($match[2]) / 4) * 4, '0')),
                'UTF-8',
                $match[1] === '2' ? 'UTF-16BE' : 'UTF-32BE',
            ),
            $words,
        );
        $words = (string) preg_replace_callback(
            '/\\\\X\\\\([0-9A-Fa-f]{2})/',
            static fn(array $match): string => (string) mb_chr((int) hexdec($match[1]), 'UTF-8'),
            $words,
        );
        $words = (string) preg_replace_callback(
            '/\\\\S\\\\(.)/',
            static fn(array $match): string => (string) mb_chr(ord($match[1]) + 128, 'UTF-8'),
            $words,
        );

        return str_replace('\\\\', '\\', $words);
    }
}
