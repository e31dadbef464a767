<?php

declare(strict_types=1);

namespace Tests\Torture;

use GuzzleHttp\Client as Guzzle;
use GuzzleHttp\Pool;
use GuzzleHttp\Psr7\Request;
use Psr\Http\Message\ResponseInterface;

/**
 * Very many at once at the same thing: all of a group claim a task, and all of it sign a step for which fewer are needed. Nothing is done
 * twice, nobody is lost, and everybody gets an answer.
 */
final class Rush
{
    /** As many as a step can need. */
    private const MOST = 50;

    private const SECONDS = 120;

    private ?string $group = null;

    /** @param  array<string, Client>  $people  by sign-in name */
    public function __construct(
        private readonly string $url,
        private readonly array $people,
        private readonly Database $database,
        private readonly Kills $orders,
        private readonly int $many,
    ) {}

    /** @return list<array{string, ?string}> */
    public function round(): array
    {
        $this->group ??= $this->group();
        [$order, $item] = $this->orders->opened('rush');

        return [$this->claiming($order), $this->signing($order, $item)];
    }

    /** @return array{string, ?string} */
    private function claiming(string $order): array
    {
        $task = (string) $this->people['mira.okafor']->must('POST', "/changes/{$order}/tasks", [
            'to' => $this->group,
            'kind' => 'other',
            'title' => 'Who is first?',
            'text' => '',
            'priority' => 'normal',
            'checks' => [],
            'waits_for' => [],
        ])['number'];
        $answers = $this->all(static fn(): Request => new Request('POST', "/api/tasks/{$task}/claim"));
        $claimed = (int) $this->database->value("SELECT count(*) FROM ledger WHERE act = 'task.claimed' AND details::jsonb->>'task' = ?", [
            $task,
        ]);

        return [
            "claiming {$task}, {$this->many} at once",
            match (true) {
                $answers !== [200 => 1, 422 => $this->many - 1] => 'answers: ' . json_encode($answers),
                $claimed !== 1 => "{$claimed} records of a claim",
                default => null,
            },
        ];
    }

    /** @return array{string, ?string} */
    private function signing(string $order, string $item): array
    {
        $this->orders->sent($order, $item);
        $digest = $this->people['helen.marsh']->must('GET', "/orders/{$order}/review")['order']['digest'];
        $body = json_encode(['password' => '', 'digest' => $digest], JSON_THROW_ON_ERROR);
        $answers = $this->all(
            static fn(): Request => new Request('POST', "/api/orders/{$order}/signature", ['Content-Type' => 'application/json'], $body),
        );
        $needed = $this->needed();
        $facts = (string) $this->database->value(
            "SELECT concat_ws(' ', o.state, (SELECT count(*) FROM signatures s WHERE s.order_id = o.id),
                (SELECT count(DISTINCT person_id) FROM signatures s WHERE s.order_id = o.id),
                (SELECT count(*) FROM ledger l WHERE l.subject = o.number AND l.act = 'order.signed'),
                (SELECT count(*) FROM order_actors a WHERE a.order_id = o.id)) FROM change_orders o WHERE o.number = ?",
            [$order],
        );

        return [
            "signing {$order}, {$this->many} at once",
            match (true) {
                $answers !== [200 => $needed, 422 => $this->many - $needed] => 'answers: ' . json_encode($answers),
                $facts !== "signed {$needed} {$needed} {$needed} 0" => "state, signatures, people, records, who can act: {$facts}",
                default => null,
            },
        ];
    }

    private function needed(): int
    {
        return min(self::MOST, intdiv($this->many * 3, 4));
    }

    /**
     * @param  \Closure(): Request  $request  of each
     * @return array<int, int> how many answers there were, by status; 0: none
     */
    private function all(\Closure $request): array
    {
        $http = new Guzzle(['base_uri' => $this->url, 'http_errors' => false, 'timeout' => self::SECONDS]);
        $requests = function () use ($request): iterable {
            for ($n = 1; $n <= $this->many; $n++) {
                yield $request()
                    ->withHeader('Accept', 'application/json')
                    ->withHeader('Authorization', 'Bearer ' . self::token($n));
            }
        };
        $answers = [];
        $pool = new Pool($http, $requests(), [
            'concurrency' => $this->many,
            'fulfilled' => static function (ResponseInterface $answer) use (&$answers): void {
                $answers[$answer->getStatusCode()] = ($answers[$answer->getStatusCode()] ?? 0) + 1;
            },
            'rejected' => static function () use (&$answers): void {
                $answers[0] = ($answers[0] ?? 0) + 1;
            },
        ]);
        $pool->promise()->wait();
        ksort($answers);

        return $answers;
    }

    /** @return string as a task is for it: so many people, each with a token, and a path on which some of them sign */
    private function group(): string
    {
        $this->database->value(
            "INSERT INTO people (login, name, email, password, roles)
            SELECT 'rush.' || n, 'Rush ' || n, 'rush.' || n || '@quillback.example', '-', '[\"quality\"]'
            FROM generate_series(1, ?::int) n RETURNING 1",
            [$this->many],
        );
        for ($n = 1; $n <= $this->many; $n++) {
            $this->database->value(
                "INSERT INTO personal_access_tokens (tokenable_type, tokenable_id, name, token, abilities, expires_at)
                SELECT ?, id, 'rush', ?, '[\"*\"]', now() + interval '1 day' FROM people WHERE login = ? RETURNING 1",
                ['App\\People\\Models\\Person', hash('sha256', self::token($n)), "rush.{$n}"],
            );
        }
        $ivo = $this->people['ivo.tanner'];
        $ivo->must('PUT', '/groups/rush', [
            'name' => 'Rush',
            'retired' => false,
            'members' => array_map(static fn(int $n): string => "rush.{$n}", range(1, $this->many)),
        ]);
        $ivo->must('PUT', '/approval-paths/rush', [
            'name' => 'Some of very many',
            'retired' => false,
            'steps' => [
                [
                    'name' => 'Sign',
                    'stage' => 1,
                    'who' => ['group:rush'],
                    'needed' => $this->needed(),
                    'meaning' => 'approved',
                    'with_password' => false,
                    'due_days' => null,
                    'conditions' => [],
                    'back_to' => [0],
                ],
            ],
        ]);

        return 'group:rush';
    }

    private static function token(int $n): string
    {
        return str_pad("rush{$n}", 40, 'x');
    }
}
