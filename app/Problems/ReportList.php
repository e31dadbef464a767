<?php

declare(strict_types=1);

namespace App\Problems;

use App\Problems\Data\FoundReports;
use App\Problems\Data\ReportRow;
use App\Problems\Models\ProblemReport;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Report\ReportState;
use Orthotaxis\Core\Report\Wording;

/** Finds reports: by what is asked for, or by being like one that is just being written. */
final readonly class ReportList
{
    /** Rows of one page at most. */
    public const MOST = 500;

    private const ORDERS = [
        'number' => 'number',
        'title' => 'title',
        'severity' => "array_position(ARRAY['critical', 'high', 'normal', 'low'], severity)",
        'source' => 'source',
        'site' => 'site',
        'state' => 'state',
        'serial' => 'serial',
        'age' => '-extract(epoch FROM raised_at)',
    ];

    /** Of so many of the newest that could be meant, likeness is computed. */
    private const CANDIDATES = 300;

    private const LIKELY = 6;

    /** So many of the newest are looked at whatever they say. */
    private const NEWEST = 150;

    /**
     * @param  array<string, string>  $asked  show (open, settled or all), words, source, site, severity, item: what is empty is not asked
     * @param  string  $sort  a column, with a minus before it for the other way round; the newest first where nobody says
     */
    public function page(array $asked, int $from, int $most, string $sort): FoundReports
    {
        $column =
            self::ORDERS[ltrim($sort === '' ? 'age' : $sort, '-')] ??
            throw Refusal::at('sort', 'Reports are sorted by ' . implode(', ', array_keys(self::ORDERS)) . '.');
        $query = self::read();
        $query->reorder();
        $query->orderByRaw($column . (str_starts_with($sort, '-') ? ' DESC' : ' ASC'));
        $query->orderByDesc('id');
        match ($asked['show'] ?? 'open') {
            'all' => null,
            'settled' => $query->whereNotIn('state', ReportState::open()),
            default => $query->whereIn('state', ReportState::open()),
        };
        foreach (['source', 'site', 'severity'] as $column) {
            if (($asked[$column] ?? '') !== '') {
                $query->where($column, $asked[$column]);
            }
        }
        if (($asked['item'] ?? '') !== '') {
            $query->whereHas('items', static fn(Builder $items): Builder => $items->where('number', $asked['item']));
        }
        foreach (preg_split('/\s+/', $asked['words'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $query->whereRaw("(number || ' ' || title || ' ' || serial ILIKE ? OR words @@ plainto_tsquery('english', ?))", [
                '%' . addcslashes($word, '%_\\') . '%',
                $word,
            ]);
        }

        $page = $query->clone();
        $page->offset($from);
        $page->limit(min($most, self::MOST));
        $rows = $page->get();

        return new FoundReports(
            $query->reorder()->toBase()->count(),
            $from,
            $rows->map(static fn(ProblemReport $report): ReportRow => ReportRow::of($report))->values()->all(),
        );
    }

    /**
     * @param  list<string>  $items  numbers
     * @param  string  $except  number of the report that is asked about, if it has one
     * @return list<ReportRow> those that are likely about the same, the likeliest first
     */
    public function like(string $title, string $description, array $items, string $except = ''): array
    {
        $asked = Wording::of($title, $description, $items);
        // Beginnings of words, letters and digits only: safe to ask the full text for.
        $any = implode(' | ', array_map(static fn(string|int $stem): string => "{$stem}:*", array_keys($asked->stems)));
        $candidates = self::read()
            ->where('number', '!=', $except)
            ->where('state', '!=', ReportState::Duplicate->value)
            ->where(static function (Builder $either) use ($items, $any): void {
                $either->whereHas('items', static fn(Builder $found): Builder => $found->whereIn('number', $items));
                if ($any !== '') {
                    $either->orWhereRaw("words @@ to_tsquery('english', ?)", [$any]);
                }
                // A mistyped word is not found by its beginning: the newest, which are the likeliest, are read anyway.
                $either->orWhereRaw('id > (SELECT max(id) - ? FROM problem_reports)', [self::NEWEST]);
            })
            ->limit(self::CANDIDATES)
            ->get();
        $rows = [];
        foreach ($candidates as $report) {
            $likeness = $asked->likeness(
                Wording::of($report->title, $report->description, $report->items->pluck('number')->values()->all()),
            );
            if ($likeness >= Wording::LIKELY) {
                $rows[] = ReportRow::of($report, $likeness);
            }
        }
        usort($rows, static fn(ReportRow $a, ReportRow $b): int => [$b->likeness, $b->raised_at] <=> [$a->likeness, $a->raised_at]);

        return array_slice($rows, 0, self::LIKELY);
    }

    /** @return Builder<ProblemReport> */
    private static function read(): Builder
    {
        return ProblemReport::query()
            ->with(['raisedBy', 'items', 'requests'])
            ->latest('raised_at')
            ->latest('id');
    }
}
