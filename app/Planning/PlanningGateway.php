<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Slots;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Pool;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Orthotaxis\Core\Impact\Supply;
use Orthotaxis\Core\Refusal;

/** The only way to the planning system: over HTTP, with a limit on how long we wait. */
final readonly class PlanningGateway
{
    /**
     * Stock and open documents of some items.
     *
     * @param  list<string>  $items  numbers
     *
     * @throws PlanningSilent
     */
    public function supply(array $items): SupplyAnswer
    {
        $ask = fn(): array => $this->ask(static fn(PendingRequest $http): Response => $http->post('/supply', ['items' => $items]));
        if (self::isAwaited() && !Breaker::allows()) {
            // What does not answer is not waited for again and again.
            throw new PlanningSilent('Planning does not answer.');
        }
        // Two people at most wait for planning at the same time; the others go on at once with what was last known.
        $answer = self::isAwaited()
            ? Slots::in(
                'planning is asked',
                config()->integer('orthotaxis.planning.at_once'),
                30,
                $ask,
                static fn(): PlanningSilent => new PlanningSilent('Planning is slow at the moment.'),
            )
            : $ask();
        $rows = $answer['rows'] ?? null;
        if (!is_array($rows)) {
            throw new PlanningSilent('Planning answered without rows.');
        }
        try {
            $told = array_map(
                static fn(mixed $row, int $i): Supply => is_array($row)
                    ? Supply::read($row, $i + 1)
                    : throw Refusal::at('row', 'Planning sent a row that cannot be read.'),
                array_values($rows),
                array_keys(array_values($rows)),
            );
        } catch (Refusal $refusal) {
            throw new PlanningSilent('Planning answered something that makes no sense: ' . $refusal->getMessage(), 0, $refusal);
        }
        $asked = array_fill_keys($items, true);
        $own = $strangers = [];
        foreach ($told as $row) {
            if (isset($asked[$row->item])) {
                $own[] = $row;
            } else {
                $strangers[$row->item] = true;
            }
        }
        $unknown = array_values(
            array_filter(
                is_array($answer['unknown'] ?? null) ? $answer['unknown'] : [],
                static fn(mixed $number): bool => is_string($number) && isset($asked[$number]),
            ),
        );

        return new SupplyAnswer($own, $unknown, array_map(strval(...), array_keys($strangers)));
    }

    /**
     * Hands a release over. The same name twice does nothing twice.
     *
     * @return array<int, array{answer: 'taken'|'refused', reason: string}> by entry number
     *
     * @throws PlanningSilent
     */
    public function handOver(string $name, string $xml): array
    {
        $answer = $this->ask(
            static fn(PendingRequest $http): Response => $http
                ->withHeaders(['Idempotency-Key' => $name])
                ->withBody($xml, 'application/xml')
                ->post('/hand-overs'),
        );
        $answers = [];
        foreach (is_array($answer['entries'] ?? null) ? $answer['entries'] : [] as $entry) {
            $number = is_array($entry) ? $entry['entry'] ?? null : null;
            $said = is_array($entry) ? $entry['answer'] ?? null : null;
            $reason = is_array($entry) ? $entry['reason'] ?? '' : '';
            if (!is_int($number) || ($said !== 'taken' && $said !== 'refused') || !is_string($reason)) {
                throw new PlanningSilent('Planning answered the hand-over with something that makes no sense.');
            }
            $answers[$number] = ['answer' => $said, 'reason' => mb_substr($reason, 0, 500)];
        }

        return $answers === [] ? throw new PlanningSilent('Planning answered the hand-over without saying what it took.') : $answers;
    }

    /**
     * What its own copy of structures, routings and item data says of today and later, in the order of its bytes.
     *
     * @param  list<list<string>>  $parts  numbers of items; all are asked for at once
     * @param  string  $today  YYYY-MM-DD
     * @return list<string> of each part rows, one a line, as CopyRow reads them
     *
     * @throws PlanningSilent
     */
    public function copy(array $parts, string $today): array
    {
        return $this->pages(
            '/copy',
            array_map(static fn(array $items): array => ['from' => '', 'today' => $today, 'items' => $items], $parts),
            'rows',
        );
    }

    /**
     * Digests of the revisions of that copy, in the order of their keys.
     *
     * @param  list<array{from: string, before: ?string}>  $parts  the key with which each begins, and before which it ends, null: with the
     *     last; all are asked for at once
     * @param  string  $today  YYYY-MM-DD
     * @return list<string> of each part one a line, as CopyDigests reads them
     *
     * @throws PlanningSilent
     */
    public function digests(array $parts, string $today): array
    {
        return $this->pages('/copy/digests', array_map(static fn(array $part): array => [...$part, 'today' => $today], $parts), 'digests');
    }

    /**
     * What comes in as many answers as it takes, each of which says from where it goes on.
     *
     * @param  list<array{from: string}&array<string, mixed>>  $parts
     * @return list<string> of each part
     *
     * @throws PlanningSilent
     */
    private function pages(string $path, array $parts, string $name): array
    {
        $pages = array_fill(0, count($parts), []);
        while ($parts !== []) {
            foreach ($this->askAll($path, $parts) as $at => $answer) {
                $next = $answer['next'] ?? null;
                $page = $answer[$name] ?? null;
                if (!is_string($page) || (is_string($next) ? strcmp($next, $parts[$at]['from']) <= 0 : $next !== null)) {
                    throw new PlanningSilent('Planning answered with a copy that makes no sense.');
                }
                $pages[$at][] = $page;
                if (is_string($next)) {
                    $parts[$at]['from'] = $next;
                } else {
                    unset($parts[$at]);
                }
            }
        }

        return array_map(
            static fn(array $some): string => implode("\n", array_filter($some, static fn(string $page): bool => $page !== '')),
            $pages,
        );
    }

    /**
     * @param  list<string>  $items  numbers
     * @return list<string> those that it does not know
     *
     * @throws PlanningSilent
     */
    public function unknown(array $items): array
    {
        $answer = $this->ask(static fn(PendingRequest $http): Response => $http->post('/items/unknown', ['items' => $items]));
        $unknown = $answer['unknown'] ?? null;

        return is_array($unknown)
            ? array_values(array_intersect($items, array_filter($unknown, is_string(...))))
            : throw new PlanningSilent('Planning did not say which items it knows.');
    }

    /**
     * Tells it of items. One that it has already stays as it has it.
     *
     * @param  list<array<string, string|int|null>>  $items
     * @return array<string, string> why it refuses one, by number; empty where it knows the item now
     *
     * @throws PlanningSilent
     */
    public function introduce(array $items): array
    {
        $answer = $this->ask(static fn(PendingRequest $http): Response => $http->post('/items', ['items' => $items]));
        $answers = [];
        foreach (is_array($answer['items'] ?? null) ? $answer['items'] : [] as $one) {
            $number = is_array($one) ? $one['number'] ?? null : null;
            $reason = is_array($one) ? $one['reason'] ?? null : null;
            if (!is_string($number) || !is_string($reason)) {
                throw new PlanningSilent('Planning answered with something that makes no sense.');
            }
            $answers[$number] = mb_substr($reason, 0, 500);
        }
        foreach ($items as $item) {
            $answers[(string) $item['number']] ??= 'it did not say whether it has it.';
        }

        return $answers;
    }

    /**
     * @param  callable(PendingRequest): Response  $call
     * @return array<array-key, mixed>
     */
    private function ask(callable $call): array
    {
        $begin = hrtime(true);
        try {
            $response = $call(self::prepared(Http::createPendingRequest()));
        } catch (ConnectionException $e) {
            $response = $e;
        }

        return self::understood($response, $begin);
    }

    /**
     * Several questions at once.
     *
     * @param  array<int, array<string, mixed>>  $bodies
     * @return array<int, array<array-key, mixed>> the answer to each
     *
     * @throws PlanningSilent
     */
    private function askAll(string $path, array $bodies): array
    {
        $begin = hrtime(true);
        $responses = Http::pool(static function (Pool $pool) use ($path, $bodies): void {
            foreach ($bodies as $at => $body) {
                self::prepared($pool->as((string) $at))->post($path, $body);
            }
        });

        return array_map(static fn(mixed $response): array => self::understood($response, $begin), $responses);
    }

    private static function prepared(PendingRequest $http): PendingRequest
    {
        return $http
            ->baseUrl(config()->string('orthotaxis.planning.url'))
            ->withToken(config()->string('orthotaxis.planning.token'))
            ->acceptJson()
            ->connectTimeout(config()->float('orthotaxis.planning.connect_seconds'))
            ->timeout(self::patience());
    }

    /**
     * @param  mixed  $response  or why there is none
     * @param  int  $begin  in nanoseconds, when it was asked
     * @return array<array-key, mixed>
     *
     * @throws PlanningSilent
     */
    private static function understood(mixed $response, int $begin): array
    {
        if (!($response instanceof Response)) {
            Breaker::inVain();
            throw new PlanningSilent('Planning does not answer.', 0, $response instanceof \Throwable ? $response : null);
        }
        // An answer that nobody would have waited for does not count as one.
        if ((hrtime(true) - $begin) / 1e9 <= config()->float('orthotaxis.planning.request_seconds')) {
            Breaker::answered();
        }
        if (!$response->successful()) {
            throw new PlanningSilent("Planning answered with an error ({$response->status()}).");
        }
        $answer = $response->json();

        return is_array($answer) ? $answer : throw new PlanningSilent('Planning answered something that is not JSON.');
    }

    /** Whether a person waits for the answer: somebody's request is being answered, no work in the background done. */
    public static function isAwaited(): bool
    {
        return request()->route() !== null;
    }

    /** In seconds. */
    private static function patience(): float
    {
        $answer = config()->float('orthotaxis.planning.answer_seconds');

        return self::isAwaited() ? min($answer, config()->float('orthotaxis.planning.request_seconds')) : $answer;
    }
}
