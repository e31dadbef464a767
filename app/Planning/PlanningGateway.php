<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
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
        // A person waits for this: what does not answer is not waited for again and again.
        if (! Breaker::allows()) {
            throw new PlanningSilent('Planning does not answer.');
        }
        $answer = $this->ask(static fn (PendingRequest $http): Response => $http->post('/supply', ['items' => $items]));
        $rows = $answer['rows'] ?? null;
        if (! is_array($rows)) {
            throw new PlanningSilent('Planning answered without rows.');
        }
        try {
            $told = array_map(
                static fn (mixed $row, int $i): Supply => is_array($row) ? Supply::read($row, $i + 1) : throw Refusal::at('row', 'Planning sent a row that cannot be read.'),
                array_values($rows),
                array_keys(array_values($rows)),
            );
        } catch (Refusal $refusal) {
            throw new PlanningSilent('Planning answered something that makes no sense: '.$refusal->getMessage(), 0, $refusal);
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
        $unknown = array_values(array_filter(is_array($answer['unknown'] ?? null) ? $answer['unknown'] : [], static fn (mixed $number): bool => is_string($number) && isset($asked[$number])));

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
        $answer = $this->ask(static fn (PendingRequest $http): Response => $http
            ->withHeaders(['Idempotency-Key' => $name])
            ->withBody($xml, 'application/xml')
            ->post('/hand-overs'));
        $answers = [];
        foreach (is_array($answer['entries'] ?? null) ? $answer['entries'] : [] as $entry) {
            $number = is_array($entry) ? ($entry['entry'] ?? null) : null;
            $said = is_array($entry) ? ($entry['answer'] ?? null) : null;
            $reason = is_array($entry) ? ($entry['reason'] ?? '') : '';
            if (! is_int($number) || ($said !== 'taken' && $said !== 'refused') || ! is_string($reason)) {
                throw new PlanningSilent('Planning answered the hand-over with something that makes no sense.');
            }
            $answers[$number] = ['answer' => $said, 'reason' => mb_substr($reason, 0, 500)];
        }

        return $answers === [] ? throw new PlanningSilent('Planning answered the hand-over without saying what it took.') : $answers;
    }

    /**
     * @param  callable(PendingRequest): Response  $call
     * @return array<array-key, mixed>
     */
    private function ask(callable $call): array
    {
        try {
            $response = $call(Http::baseUrl(config()->string('orthotaxis.planning.url'))
                ->withToken(config()->string('orthotaxis.planning.token'))
                ->acceptJson()
                ->connectTimeout(config()->float('orthotaxis.planning.connect_seconds'))
                ->timeout(config()->float('orthotaxis.planning.answer_seconds')));
        } catch (ConnectionException $e) {
            Breaker::inVain();
            throw new PlanningSilent('Planning does not answer.', 0, $e);
        }
        Breaker::answered();
        if (! $response->successful()) {
            throw new PlanningSilent("Planning answered with an error ({$response->status()}).");
        }
        $answer = $response->json();

        return is_array($answer) ? $answer : throw new PlanningSilent('Planning answered something that is not JSON.');
    }
}
