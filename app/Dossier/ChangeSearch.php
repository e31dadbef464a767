<?php

declare(strict_types=1);

namespace App\Dossier;

use App\Dossier\Data\FoundChanges;
use App\Tables\Quoted;
use App\Vocabulary\ChangeRow;
use App\Vocabulary\Priority;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\OrderOfWork;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\RequestState;
use Orthotaxis\Core\Change\WorkStep;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Report\ReportState;

/** The Register: reports, requests and orders in one question, filtered, put in order and counted by the database. */
final readonly class ChangeSearch
{
    /** Rows of one page at most. */
    public const MOST = 500;

    /** What rows can be put in order by; each order ends with the number, so that it is a total one. */
    private const ORDERS = [
        'priority' => 'rank',
        'number' => 'number',
        'title' => 'title',
        'state' => 'state',
        'step' => 'place',
        'waits' => 'waits_for',
        'effective' => 'effective_on',
        'by' => 'raised_by',
        'age' => '-extract(epoch FROM raised_at)',
        'type' => 'type',
        'source' => 'source',
        'site' => 'site',
    ];

    /**
     * @param  array{show?: string, words?: string, priority?: list<string>, type?: list<string>, step?: list<string>, person?: string,
     *     waits_for?: string, item?: string, since?: string, until?: string, part?: string, watched?: string, but?: list<string>}  $asked
     *     sign-in names of somebody who raised it or is named on it (person), who has to act (waits_for), who takes part by being named,
     *     by a task or by what they said (part), who watches it (watched); numbers to leave out (but); days it was raised, both included
     *     (since, until)
     * @param  string  $sort  a column, with a minus before it for the other way round; the newest first where nobody says
     */
    public function page(array $asked, int $from, int $most, string $sort): FoundChanges
    {
        $found = DB::query()->fromSub($this->reports($asked)->unionAll($this->requests($asked))->unionAll($this->orders($asked)), 'c');
        match ($asked['show'] ?? 'open') {
            'all' => null,
            'closed' => $found->where('open', false),
            default => $found->where('open', true),
        };
        foreach (['priority', 'type', 'step'] as $column) {
            if (($asked[$column] ?? []) !== []) {
                $found->whereIn($column, $asked[$column]);
            }
        }
        if (($asked['since'] ?? '') !== '') {
            $found->where('raised_at', '>=', $asked['since']);
        }
        if (($asked['until'] ?? '') !== '') {
            $found->whereRaw('raised_at < ?::date + 1', [$asked['until']]);
        }
        $total = $found->clone()->count();
        $column =
            self::ORDERS[ltrim($sort === '' ? 'age' : $sort, '-')] ??
            throw Refusal::at('sort', 'Changes are sorted by ' . implode(', ', array_keys(self::ORDERS)) . '.');
        $rows = $found
            ->orderByRaw($column . (str_starts_with($sort, '-') ? ' DESC' : ' ASC') . ' NULLS LAST')
            ->orderByDesc('number')
            ->offset($from)
            ->limit(min($most, self::MOST))
            ->get();

        return new FoundChanges($total, $from, array_values($rows->map(ChangeRow::read(...))->all()));
    }

    /** @param  array<string, mixed>  $asked */
    private function reports(array $asked): Builder
    {
        $query = DB::table('problem_reports AS t')
            ->join('people AS p', 'p.id', '=', 't.raised_by')
            ->selectRaw(
                self::columns(
                    'report',
                    'severity',
                    't.site, t.source, NULL::date',
                    "CASE WHEN t.state = 'returned' THEN p.name END",
                    array_map(
                        static fn(ReportState $state): array => [$state->value, WorkStep::TakeIn, $state->isOpen()],
                        ReportState::cases(),
                    ),
                ),
            );
        $returned = "SELECT t.raised_by WHERE t.state = 'returned'";
        $this->filter($query, $asked, 'SELECT t.raised_by', $returned, 'problem_report_items', 'report_id');

        return $query;
    }

    /** @param  array<string, mixed>  $asked */
    private function requests(array $asked): Builder
    {
        $query = DB::table('change_requests AS t')
            ->join('people AS p', 'p.id', '=', 't.raised_by')
            ->selectRaw(
                self::columns(
                    'request',
                    'priority',
                    't.site, t.source, NULL::date',
                    "CASE WHEN t.state = 'returned' THEN p.name END",
                    array_map(
                        static fn(RequestState $state): array => [$state->value, OrderOfWork::current($state, null), $state->isOpen()],
                        RequestState::cases(),
                    ),
                ),
            );
        $returned = "SELECT t.raised_by WHERE t.state = 'returned'";
        $this->filter($query, $asked, 'VALUES (t.raised_by), (t.decided_by)', $returned, 'change_request_items', 'request_id');

        return $query;
    }

    /** @param  array<string, mixed>  $asked */
    private function orders(array $asked): Builder
    {
        $acting = 'SELECT a.person_id FROM acting_on_orders a WHERE a.order_id = t.id';
        $query = DB::table('change_orders AS t')
            ->join('people AS p', 'p.id', '=', 't.author_id')
            ->where('t.state', '!=', OrderState::Proposed->value)
            ->selectRaw(
                self::columns(
                    'order',
                    'priority',
                    'NULL::text, NULL::text, t.effective_on',
                    "CASE WHEN t.on_hold_since IS NOT NULL THEN 'on hold' ELSE
                        (SELECT string_agg(w.name, ', ' ORDER BY w.name) FROM people w WHERE w.id IN ({$acting})) END",
                    array_map(
                        static fn(OrderState $state): array => [$state->value, OrderOfWork::current(null, $state), !$state->hasEnded()],
                        OrderState::cases(),
                    ),
                ),
            );
        $named = 'SELECT n.person_id FROM people_of_orders n WHERE n.order_id = t.id';
        $this->filter($query, $asked, $named, $acting, 'change_order_items', 'order_id');

        return $query;
    }

    /**
     * @param  list<array{string, WorkStep, bool}>  $states  state, the step it is at, whether it is open
     */
    private static function columns(string $type, string $priority, string $origin, string $waitsFor, array $states): string
    {
        $steps = implode(' ', array_map(static fn(array $one): string => "WHEN '{$one[0]}' THEN '{$one[1]->value}'", $states));
        $places = implode(
            ' ',
            array_map(static fn(array $one): string => "WHEN '{$one[0]}' THEN " . array_search($one[1], WorkStep::cases(), true), $states),
        );
        $open = implode(
            ', ',
            array_map(static fn(array $one): string => "'{$one[0]}'", array_filter($states, static fn(array $one): bool => $one[2])),
        );
        $ranks = implode(' ', array_map(static fn(Priority $one): string => "WHEN '{$one->value}' THEN {$one->rank()}", Priority::cases()));
        [$site, $source, $effective] = explode(', ', $origin);

        return "'{$type}' AS type, t.number, t.title, t.{$priority} AS priority,
            CASE t.{$priority} {$ranks} END AS rank, t.state, CASE t.state {$steps} END AS step, CASE t.state {$places} END AS place,
            t.state IN ({$open}) AS open, t.raised_at, p.name AS raised_by, {$site} AS site, {$source} AS source,
            {$effective} AS effective_on, {$waitsFor} AS waits_for, t.state IN " .
            Quoted::cases(OrderState::open()) .
            " AND '{$type}' = 'order' AS ahead";
    }

    /**
     * @param  array<string, mixed>  $asked
     * @param  string  $named  a question for the ids of those whom it names
     * @param  string  $acting  a question for the ids of those who have to act
     */
    private function filter(Builder $query, array $asked, string $named, string $acting, string $items, string $key): void
    {
        foreach (preg_split('/\s+/', (string) ($asked['words'] ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $query->whereRaw(
                "(t.number || ' ' || t.title ILIKE ? OR t.words @@ plainto_tsquery('english', ?)
                    OR t.number IN (SELECT f.change FROM record_references f WHERE upper(f.number) = upper(?)))",
                ['%' . addcslashes($word, '%_\\') . '%', $word, $word],
            );
        }
        $person = '(SELECT id FROM people WHERE login = ?)';
        if (($asked['person'] ?? '') !== '') {
            $query->whereRaw("{$person} IN ({$named})", [$asked['person']]);
        }
        if (($asked['waits_for'] ?? '') !== '') {
            $query->whereRaw("{$person} IN ({$acting})", [$asked['waits_for']]);
        }
        if (($asked['part'] ?? '') !== '') {
            $query->whereRaw(
                "({$person} IN ({$named})
                    OR t.number IN (SELECT c.subject FROM comments c WHERE c.person_id = {$person})
                    OR t.number IN (SELECT k.change FROM tasks k WHERE {$person} IN (k.made_by, k.holder_id, k.person_id)))",
                array_fill(0, 3, $asked['part']),
            );
        }
        if (($asked['watched'] ?? '') !== '') {
            $query->whereRaw("t.number IN (SELECT w.change FROM watches w WHERE w.person_id = {$person})", [$asked['watched']]);
        }
        if (is_array($asked['but'] ?? null) && $asked['but'] !== []) {
            $query->whereNotIn('t.number', $asked['but']);
        }
        if (($asked['item'] ?? '') !== '') {
            $query->whereRaw(
                "EXISTS (SELECT 1 FROM {$items} named JOIN items i ON i.id = named.item_id WHERE named.{$key} = t.id AND i.number = ?)",
                [$asked['item']],
            );
        }
    }
}
