<?php

declare(strict_types=1);

require_once __DIR__ . '/median.php';

/** Asks the running product for pages, signed in, over one kept connection. */
final readonly class Pages
{
    private CurlHandle $curl;

    public function __construct(private string $address)
    {
        $this->curl = curl_init();
        $token = trim((string) shell_exec(escapeshellarg(PHP_BINARY) . ' artisan token:issue bench bench'));
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HTTPHEADER => ["Authorization: Bearer {$token}", 'Accept: application/json'],
        ]);
    }

    /** Milliseconds of one question. */
    public function once(string $path): float
    {
        $started = hrtime(true);
        curl_setopt($this->curl, CURLOPT_URL, $this->address . $path);
        $body = curl_exec($this->curl);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);

        return $status === 200
            ? (hrtime(true) - $started) / 1e6
            : throw new RuntimeException("{$path} answered {$status}: " . substr((string) $body, 0, 300));
    }

    /**
     * @param  array<string, string>  $paths  by name
     * @return list<array{name: string, ms: float, empty_route_ms: float, peak: int}>
     */
    public function measure(array $paths): array
    {
        $times = [];
        for ($round = 0; $round < 16; $round++) {
            foreach (['' => '/api/session'] + $paths as $name => $path) {
                $took = $this->once($path);
                if ($round > 3) {
                    $times[$name][] = $took;
                }
            }
        }
        $pages = [];
        foreach (array_keys($paths) as $name) {
            $pages[] = [
                'name' => $name,
                'ms' => round(median($times[$name]), 2),
                'empty_route_ms' => round(median($times['']), 2),
                'peak' => 0,
            ];
        }

        return $pages;
    }
}
