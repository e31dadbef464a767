<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

/** The planning stand-in itself, as it ships, on a free port and with a database of its own. */
final class StandIn
{
    public const TOKEN = 'shown-at-the-door';

    /** @param  resource  $process */
    private function __construct(public readonly string $address, private $process) {}

    public static function start(): self
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $database = config()->array('database.connections.pgsql');
        $process =
            proc_open(
                [PHP_BINARY, '-S', "127.0.0.1:{$port}", base_path('stand-ins/planning/index.php')],
                [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
                $pipes,
                null,
                [
                    'PLANNING_DB' => "host={$database['host']};port={$database['port']};dbname=planning_feature",
                    'PLANNING_DB_USER' => $database['username'],
                    'PLANNING_DB_PASSWORD' => $database['password'],
                    'PLANNING_TOKEN' => self::TOKEN,
                ],
            ) ?:
            throw new \RuntimeException('The stand-in does not start.');
        for ($i = 0; $i < 100; $i++) {
            $open = @fsockopen('127.0.0.1', $port, timeout: 1);
            if ($open !== false) {
                fclose($open);

                return new self("http://127.0.0.1:{$port}", $process);
            }
            usleep(50_000);
        }
        throw new \RuntimeException('The stand-in does not answer.');
    }

    public function stop(): void
    {
        proc_terminate($this->process);
        proc_close($this->process);
    }

    public function shown(): PendingRequest
    {
        return Http::withToken(self::TOKEN)->baseUrl($this->address);
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $more
     */
    public function load(array $items, array $more = []): Response
    {
        return $this->shown()
            ->post('/load', ['today' => World::day(0), 'items' => $items, ...$more])
            ->throw();
    }

    /** @return array<string, mixed> an item as planning is told of it */
    public static function item(
        string $number,
        string $supply = 'buy',
        bool $sold = false,
        string $kind = 'part',
        string $unit = 'pc',
    ): array {
        return [
            'number' => $number,
            'revision' => 'A',
            'unit' => $unit,
            'cost' => '2.50',
            'supply' => $supply,
            'sold' => $sold,
            'kind' => $kind,
        ];
    }

    /** @return list<array<string, string>> the hand-overs on its page: name, received, taken, refused, applied at most */
    public function handOvers(): array
    {
        preg_match_all(
            '~<tr><td>(.*?)</td><td>(\d+)</td><td>(\d+)</td><td>(\d+)</td><td>(\d+)</td></tr>~',
            Http::get($this->address)->body(),
            $rows,
            PREG_SET_ORDER,
        );

        return array_map(
            static fn(array $row): array => [
                'name' => $row[1],
                'received' => $row[2],
                'taken' => $row[3],
                'refused' => $row[4],
                'applied' => $row[5],
            ],
            $rows,
        );
    }

    public function behave(string $mode): void
    {
        Http::asForm()
            ->withoutRedirecting()
            ->post("{$this->address}/behaviour", ['mode' => $mode]);
    }
}
