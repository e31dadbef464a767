<?php

declare(strict_types=1);

namespace Tests\Torture;

use Psr\Http\Message\ResponseInterface;
use Random\Randomizer;

/** Requests that nobody should send, over every address of the API: each is answered or refused, and never breaks. */
final readonly class BadRequests
{
    private const ODD = [
        '',
        '0',
        '-1',
        'x',
        '../..',
        '%2e%2e%2f',
        '99999999999',
        '99999999999999999999',
        '1e400',
        '0.0000001',
        '2026-02-30',
        '9999-12-31',
        '0000-00-00',
        "'; DROP TABLE items; --",
        '%',
        '_',
        '200-0010',
        'ECR-00001',
        'ECO-00001',
        '[]',
        'null',
        '０',
        'ÿ',
        "\xFF",
        "a\0b",
        "\u{202E}x",
        '🚰',
        '$(id)',
        '{{7*7}}',
        '<script>1</script>',
    ];

    /** @param  array<string, Client>  $people */
    public function __construct(private array $people) {}

    /** @return list<array{string, ?string}> what was sent, and what was wrong about the answer */
    public function round(Randomizer $random): array
    {
        $operations = Api::operations();
        $pick = static fn(array $among): mixed => $among[$random->getInt(0, count($among) - 1)];
        $login = $pick(array_keys($this->people));
        $done = [];
        for ($i = 0; $i < 25; $i++) {
            [$method, $path, $query, $fields] = $pick($operations);
            if ($path === '/api/session' && $method !== 'GET') {
                continue;
            }
            $address = (string) preg_replace_callback(
                '/\{(\w+)\}/',
                fn(array $name): string => rawurlencode($random->getInt(0, 2) === 0 ? $pick(self::ODD) : $this->known($name[1], $pick)),
                $path,
            );
            if ($query !== [] && $random->getInt(0, 1) === 1) {
                $name = $pick($query);
                $address .= '?' . $name . $pick(['', '', '[]', '[x]', '[x][y]']) . '=' . rawurlencode($pick(self::ODD));
            }
            $options = $method === 'GET' ? [] : $this->body($fields, $pick, $random);
            $answer = $this->people[$login]->ask($method, $address, $options);
            $done[] = ["{$login} {$method} {$address} " . mb_strcut((string) ($options['body'] ?? ''), 0, 200), self::fault($answer)];
        }

        return $done;
    }

    /** Whether an answer is one that should never be given. */
    public static function fault(?ResponseInterface $answer): ?string
    {
        if ($answer === null) {
            return 'no answer';
        }
        $body = (string) $answer->getBody();

        return match (true) {
            $answer->getStatusCode() >= 500 => $answer->getStatusCode() . ' ' . mb_strcut($body, 0, 200),
            preg_match('~SQLSTATE|Stack trace|/vendor/|#0 \{main\}~', $body) === 1 && $answer->getStatusCode() >= 400
                => 'it tells its inside: ' . mb_strcut($body, 0, 200),
            default => null,
        };
    }

    private function known(string $name, \Closure $pick): string
    {
        return $pick(
            match ($name) {
                'number' => [
                    '200-0010',
                    '110-0001',
                    '800-0011',
                    'ECO-00087',
                    'ECO-00089',
                    'ECO-00082',
                    'ECR-00096',
                    'ECR-00094',
                    'PR-00003',
                    'FF-00001',
                ],
                'item' => ['200-0010', '200-0041', '300-0010'],
                'document' => ['800-0011', '820-0001'],
                'format' => ['csv', 'xlsx', 'json', 'pdf', 'xml', 'exe'],
                default => ['1', '2', '7', '2147483648', '018f0000-0000-7000-8000-000000000000', 'assembly', 'pump'],
            },
        );
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function body(array $fields, \Closure $pick, Randomizer $random): array
    {
        $values = [
            null,
            true,
            7,
            -1,
            1.5,
            1e308,
            PHP_INT_MAX,
            '',
            ' ',
            'x',
            str_repeat('x', 20_001),
            '2026-13-01',
            "a\0b",
            [],
            [[]],
            [null],
            ['x'],
            [['x' => 1]],
            ['x' => ['y' => []]],
            '1',
            '200-0010',
            'high',
            'revise',
            '2027-01-01',
        ];
        $said = [];
        foreach (array_keys($fields) as $name) {
            if ($random->getInt(0, 4) > 0) {
                $said[$name] = $pick($values);
            }
        }
        $json = (string) json_encode((object) $said, JSON_PARTIAL_OUTPUT_ON_ERROR);
        $json = match ($random->getInt(0, 11)) {
            0 => substr($json, 0, -1),
            1 => str_repeat('[', $random->getInt(1, 4_000)),
            2 => str_replace('7', '1e400', $json),
            3 => "\xFF\xFE{$json}",
            4 => '"x"',
            default => $json,
        };

        return [
            'body' => $json,
            'headers' => [
                'Content-Type' => $pick([
                    'application/json',
                    'application/json',
                    'application/json',
                    'text/plain',
                    'application/x-www-form-urlencoded',
                    'multipart/form-data',
                ]),
            ],
        ];
    }
}
